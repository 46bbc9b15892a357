import { useState } from 'react';
import type { WireStock } from '@mendum/core';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { NumberField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { JacketFields, WireFields } from '../../ui/wireFields.tsx';

interface ReelFormProps {
  readonly reel: WireStock;
  readonly isNew: boolean;
  readonly busy: boolean;
  readonly onSave: (reel: WireStock) => void;
  readonly onRemove: () => void;
  readonly onClose: () => void;
}

/** Wire on hand: size, colour, jacket and how much is left of it. */
export function ReelForm({ reel, isNew, busy, onSave, onRemove, onClose }: ReelFormProps) {
  const [wire, setWire] = useState(reel.wire);
  const [length, setLength] = useState(String(reel.lengthMm));
  const [wrong, setWrong] = useState<string>();
  const save = (): void => {
    const lengthMm = numberOf(length);
    if (!(lengthMm >= 0 && lengthMm <= 1_000_000)) setWrong('Give what is left, 0 to 1,000,000 mm.');
    else onSave({ ...reel, wire, lengthMm });
  };
  return (
    <Dialog open shape="sheet" onOpenChange={(open) => { if (!open) onClose(); }} title={isNew ? 'New wire' : 'Wire on hand'}>
      <form noValidate className="grid gap-4" onSubmit={(event) => { event.preventDefault(); save(); }}>
        <WireFields wire={wire} onChange={setWire} />
        <JacketFields wire={wire} onChange={setWire} />
        <NumberField label="Left of it" unit="mm" value={length} wrong={wrong} onChange={(event) => setLength(event.target.value)} />
        <div className="sticky -bottom-5 -mx-6 -mb-5 flex gap-3 border-t border-rule bg-sheet px-6 py-3">
          <Button type="submit" look="copper" disabled={busy} className="flex-1">{isNew ? 'Add the wire' : 'Save the wire'}</Button>
          {isNew ? null : <Button look="scrap" disabled={busy} onClick={onRemove}>Used up</Button>}
          <Button onClick={onClose}>Cancel</Button>
        </div>
      </form>
    </Dialog>
  );
}
