import { useState } from 'react';
import { useNavigate } from 'react-router';
import { placeFacts, QUICK_PLACES, stretchHarness, UNNAMED_MACHINE, type QuickPlace } from '@mendum/core/quick';
import { useSave } from '../../app/change.ts';
import { EMPTY, type QuickDraft } from '../../quick/draft.ts';
import { tile } from '../../quick/look.ts';
import { WirePick } from '../../quick/WirePick.tsx';
import { Button } from '../../ui/button.tsx';
import { Choices } from '../../ui/choices.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { NumberField, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';

/** A stretch of harness drawn in place: two ends, a length or none, and the wires as they are seen. */
export function Stretch({ onClose }: { readonly onClose: () => void }) {
  const { save, busy } = useSave();
  const navigate = useNavigate();
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [length, setLength] = useState('');
  const [volts, setVolts] = useState('12');
  const [place, setPlace] = useState<QuickPlace>();
  const [draft, setDraft] = useState<QuickDraft>(EMPTY);
  const ends = [from.trim(), to.trim()] as const;
  const lengthMm = length.trim() === '' ? undefined : numberOf(length);
  const systemVoltageV = numberOf(volts);
  const wires = draft.wires.flatMap(({ colour, size }) => (colour && size ? [{ colour, size }] : []));
  const missing = [
    ...(ends.includes('') ? ['what both ends are called'] : []),
    ...(ends[0] !== '' && ends[0].toLowerCase() === ends[1].toLowerCase() ? ['another name for one end'] : []),
    ...(lengthMm !== undefined && !(lengthMm >= 1 && lengthMm <= 1_000_000) ? ['a length of 1 to 1,000,000 mm'] : []),
    ...(systemVoltageV > 0 && systemVoltageV <= 1500 ? [] : ['a system voltage of up to 1,500 V']),
    ...(wires.length < draft.wires.length ? ['colour and size of every wire'] : []),
    ...(place === undefined ? ['where it is'] : []),
  ];
  const draw = async (): Promise<void> => {
    if (place === undefined) return;
    const outcome = await save('addHarness', {
      machine: { id: 'machine', name: UNNAMED_MACHINE, kind: 'machine', systemVoltageV },
      harness: { id: 'harness', ...stretchHarness({ ends, lengthMm, place, wires }) },
    });
    if (outcome.ok) void navigate(`/machines/${outcome.data.id}`);
  };
  return (
    <Dialog
      open
      shape="wide"
      onClose={onClose}
      title="A stretch that is opened"
      about="Machine, connectors and cavities are said when they are known; branches by splitting."
    >
      <div className="grid gap-5">
        <div className="grid items-start gap-3 sm:grid-cols-4">
          <TextField
            label="One end"
            placeholder="cab wall, mark A"
            maxLength={60}
            value={from}
            onChange={(event) => setFrom(event.target.value)}
          />
          <TextField
            label="The other end"
            placeholder="grommet, mark B"
            maxLength={60}
            value={to}
            onChange={(event) => setTo(event.target.value)}
          />
          <NumberField
            label="From end to end"
            hint="Empty: nobody has measured it."
            unit="mm"
            value={length}
            onChange={(event) => setLength(event.target.value)}
          />
          <NumberField
            label="System voltage"
            hint="12 V where nobody says another."
            unit="V"
            value={volts}
            onChange={(event) => setVolts(event.target.value)}
          />
        </div>
        <WirePick draft={draft} onChange={setDraft} />
        <section aria-label="Where it is" className="grid gap-2">
          <h2 className="text-xl font-semibold">Where it is</h2>
          <Choices
            label="Where it is"
            picked={place}
            onPick={setPlace}
            className="grid grid-cols-2 gap-1.5 sm:grid-cols-4"
            look={tile}
            choices={QUICK_PLACES.map((value) => ({ value, shown: () => placeFacts(value).words }))}
          />
        </section>
        <div className="flex flex-wrap items-center gap-4">
          <Button look="copper" disabled={busy || missing.length > 0} onClick={() => void draw()}>
            Draw it
          </Button>
          {missing.length > 0 ? <p className="text-soft">Still missing: {missing.join(', ')}.</p> : null}
        </div>
      </div>
    </Dialog>
  );
}
