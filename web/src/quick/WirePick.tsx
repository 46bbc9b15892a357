import { useState } from 'react';
import { Plus, Trash2 } from 'lucide-react';
import { QUICK_WIRES_MOST } from '@mendum/core/quick';
import { Button } from '../ui/button.tsx';
import { ColourPick } from './ColourPick.tsx';
import { withOneMore, withoutWire, withWire, type QuickDraft } from './draft.ts';
import { SizePick } from './SizePick.tsx';
import { WireChips } from './WireChips.tsx';

/** The damaged wires, and colour, stripe and size of the one that is picked. */
export function WirePick({
  draft,
  onChange,
}: {
  readonly draft: QuickDraft;
  readonly onChange: (draft: QuickDraft) => void;
}) {
  const [picked, setPicked] = useState(0);
  const at = Math.min(picked, draft.wires.length - 1);
  const wire = draft.wires[at] ?? {};
  return (
    <section aria-label="The wire" className="grid gap-3">
      <h2 className="text-xl font-semibold">The wire</h2>
      <ColourPick key={at} colour={wire.colour} onPick={(colour) => onChange(withWire(draft, at, { colour }))} />
      <SizePick size={wire.size} onPick={(size) => onChange(withWire(draft, at, { size }))} />
      <div className="flex flex-wrap items-center gap-2">
        <WireChips wires={draft.wires} at={at} onPick={setPicked} />
        {draft.wires.length < QUICK_WIRES_MOST ? (
          <Button
            look="quiet"
            onClick={() => {
              onChange(withOneMore(draft));
              setPicked(draft.wires.length);
            }}
          >
            <Plus aria-hidden size={20} /> Another wire at this place
          </Button>
        ) : null}
        {draft.wires.length > 1 ? (
          <Button look="quiet" onClick={() => onChange(withoutWire(draft, at))}>
            <Trash2 aria-hidden size={20} /> Without wire {at + 1}
          </Button>
        ) : null}
      </div>
    </section>
  );
}
