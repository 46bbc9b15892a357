import { useState } from 'react';
import { Copy } from 'lucide-react';
import { useCalendarAddressQuery } from '../app/api.ts';
import { useSave } from '../app/change.ts';
import { notify } from '../app/notice.ts';
import { useMay } from '../app/session.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';

/** Made anew, the address before reads nothing any more: that is asked once more. */
function NewAddress({ onClose }: { readonly onClose: () => void }) {
  const { save, busy } = useSave();
  const set = async (on: boolean): Promise<void> => {
    if ((await save('setCalendar', { on })).ok) onClose();
  };
  return (
    <Dialog open title="The calendar's address" onClose={onClose}>
      <p>A new address ends the one before: calendars that read it have to be given the new one.</p>
      <div className="mt-4 flex flex-wrap gap-3">
        <Button look="copper" disabled={busy} onClick={() => void set(true)}>
          Make a new address
        </Button>
        <Button disabled={busy} onClick={() => void set(false)}>
          End it
        </Button>
      </div>
    </Dialog>
  );
}

/** The calendar of what is due back, for the calendars of phones and desks. */
export function CalendarLine() {
  const { data } = useCalendarAddressQuery({});
  const { save, busy } = useSave();
  const may = useMay('setCalendar');
  const [asking, setAsking] = useState(false);
  const address = data?.path === undefined ? undefined : `${window.location.origin}${data.path}`;
  const copy = async (text: string): Promise<void> => {
    try {
      await navigator.clipboard.writeText(text);
      notify('The address is copied');
    } catch {
      notify('This browser copies nothing here: mark the address and copy it by hand');
    }
  };
  if (!data || (address === undefined && !may)) return null;
  return (
    <section aria-label="Calendar" className="no-print mt-8 border-t border-rule pt-4">
      <h2 className="text-xl font-semibold">In your calendar</h2>
      {address === undefined ? (
        <>
          <p className="max-w-prose text-soft">
            A calendar on a phone or a desk can show each of these on its day. Whoever knows its address can read it.
          </p>
          <Button className="mt-2" disabled={busy} onClick={() => void save('setCalendar', { on: true })}>
            Make an address
          </Button>
        </>
      ) : (
        <>
          <p className="max-w-prose text-soft">
            Subscribe to this address in a calendar. Whoever knows it can read what is due; it is reached as far as this
            server is.
          </p>
          <div className="mt-1 flex flex-wrap items-center gap-3">
            <code className="min-w-0 border border-rule bg-sheet px-2 py-1.5 text-sm break-all">{address}</code>
            <Button onClick={() => void copy(address)}>
              <Copy aria-hidden /> Copy
            </Button>
            {may ? (
              <Button look="quiet" onClick={() => setAsking(true)}>
                Make a new one, or end it
              </Button>
            ) : null}
          </div>
        </>
      )}
      {asking ? <NewAddress onClose={() => setAsking(false)} /> : null}
    </section>
  );
}
