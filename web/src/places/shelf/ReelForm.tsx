import { useState } from 'react';
import type { WireStock } from '@mendum/core';
import { NumberField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { JacketFields, WireFields } from '../../ui/wireFields.tsx';
import { ItemForm, type ItemFormProps } from './ItemForm.tsx';

/** Wire on hand: size, colour, jacket and how much is left of it. */
export function ReelForm({ item: reel, onSave, ...frame }: ItemFormProps<WireStock>) {
  const [wire, setWire] = useState(reel.wire);
  const [length, setLength] = useState(String(reel.lengthMm));
  const [wrong, setWrong] = useState<string>();
  const save = (): void => {
    const lengthMm = numberOf(length);
    if (!(lengthMm >= 0 && lengthMm <= 1_000_000)) setWrong('Enter what is left, 0 to 1,000,000 mm.');
    else onSave({ ...reel, wire, lengthMm });
  };
  return (
    <ItemForm
      {...frame}
      title={frame.isNew ? 'New wire' : 'Wire on hand'}
      words={{ add: 'Add the wire', save: 'Save the wire', remove: 'Used up' }}
      onSubmit={save}
    >
      <WireFields wire={wire} onChange={setWire} />
      <JacketFields wire={wire} onChange={setWire} />
      <NumberField
        label="Left of it"
        unit="mm"
        value={length}
        wrong={wrong}
        onChange={(event) => setLength(event.target.value)}
      />
    </ItemForm>
  );
}
