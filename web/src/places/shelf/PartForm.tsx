import { fieldOf, kindOf, type Part } from '@mendum/core/catalogue';
import { colourDisagreement, PART_COLOURS, type PartField, type PigtailLead } from '@mendum/core/stock';
import { partSchema } from '@mendum/core/schemas';
import { useThing, type Form } from '../../form/useThing.ts';
import { NumberField, Select, TextField } from '../../ui/field.tsx';
import { LeadsField } from './LeadsField.tsx';
import { ItemForm, type ItemFormProps } from './ItemForm.tsx';

/** One figure that the kind of part has, in a field of its sort. */
function FigureField({ form, figure }: { readonly form: Form<Part>; readonly figure: PartField }) {
  const { path, title } = figure;
  switch (figure.type) {
    case 'choice':
      return (
        <Select label={title} {...form.field(path)}>
          {figure.optional ? <option value="">as usual for it</option> : null}
          {(figure.choices ?? []).map(({ value, words }) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </Select>
      );
    case 'text':
      return <TextField label={title} maxLength={figure.to} {...form.field(path)} />;
    case 'leads': {
      const leads = fieldOf(form.typed, path);
      return (
        <LeadsField
          label={title}
          leads={Array.isArray(leads) ? (leads as readonly PigtailLead[]) : []}
          wrong={form.wrong(path)}
          onTyped={(typed) => form.set(path, typed)}
        />
      );
    }
    case 'number':
    case 'whole':
      return <NumberField label={title} unit={figure.unit ?? ''} {...form.field(path)} />;
  }
}

/** A part with its figures as stamped: what is typed is kept until it is right. */
export function PartForm({ item: part, onSave, ...frame }: ItemFormProps<Part>) {
  const form = useThing(partSchema, part);
  const disagrees = colourDisagreement(form.typed);
  return (
    <ItemForm
      {...frame}
      title={frame.isNew ? `New ${kindOf(part.kind).words}` : part.name}
      about="What is stamped on the part wins over what is usual for its kind."
      words={{ add: 'Put it on the shelf', save: 'Save the part', remove: 'Take off the list' }}
      onSubmit={form.submit(onSave)}
      wrong={form.wrong('root')}
    >
      <TextField label="Name" maxLength={200} {...form.field('name')} />
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="On the shelf" unit="pcs" {...form.field('quantity')} />
        <TextField label="Where it is kept" maxLength={200} {...form.field('place')} />
        <TextField label="Lot in use" maxLength={60} {...form.field('lot')} />
        <NumberField
          label="Price of one"
          hint="Stands in records, and goes out with them."
          unit=""
          step="any"
          {...form.field('price')}
        />
        {kindOf(part.kind).fields.map((figure) => (
          <FigureField key={figure.path} form={form} figure={figure} />
        ))}
        <NumberField label="Rated" unit="°C" {...form.field('ratedC')} />
        <Select label="Figures" {...form.field('figuresFrom')}>
          <option value="stamped">as stamped</option>
          <option value="usual">usual for its kind</option>
        </Select>
        <Select label="Colour" {...form.field('colour')}>
          <option value="">none</option>
          {PART_COLOURS.map((colour) => (
            <option key={colour}>{colour}</option>
          ))}
        </Select>
      </div>
      {disagrees === undefined ? null : (
        <p className="border-l-4 border-rework pl-3">
          <span aria-hidden className="text-rework">
            ▲{' '}
          </span>
          {disagrees}
        </p>
      )}
    </ItemForm>
  );
}
