import type { WireStock } from '@mendum/core/stock';
import { wireStockSchema } from '@mendum/core/schemas';
import { JacketFields } from '../../form/JacketFields.tsx';
import { useThing } from '../../form/useThing.ts';
import { NumberField, TextField } from '../../ui/field.tsx';
import { WireFields } from '../../ui/wireFields.tsx';
import { ItemForm, type ItemFormProps } from './ItemForm.tsx';

/** Wire on hand: size, colour, jacket and how much is left of it. */
export function ReelForm({ item: reel, onSave, ...frame }: ItemFormProps<WireStock>) {
  const form = useThing(wireStockSchema, reel);
  return (
    <ItemForm
      {...frame}
      title={frame.isNew ? 'New wire' : 'Wire on hand'}
      words={{ add: 'Add the wire', save: 'Save the wire', remove: 'Used up' }}
      onSubmit={form.submit(onSave)}
      wrong={form.wrong('root')}
    >
      <WireFields wire={form.typed.wire} onChange={(wire) => form.set('wire', wire)} />
      <JacketFields form={form} wire={form.typed.wire} at="wire" />
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="Left of it" unit="mm" {...form.field('lengthMm')} />
        <TextField label="Reel, or where it was cut" maxLength={60} {...form.field('reel')} />
        <NumberField
          label="Price of a metre"
          hint="Stands in records, and goes out with them."
          unit=""
          step="any"
          {...form.field('pricePerM')}
        />
      </div>
    </ItemForm>
  );
}
