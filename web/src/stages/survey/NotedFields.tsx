import { NOTED, NOTED_NAMES, type OwnField } from '@mendum/core/damage';
import { Select, TextArea, TextField } from '../../ui/field.tsx';
import type { DraftForm } from './draftForm.ts';

/** Fields that the browser has a kind of its own for. */
const INPUTS: { readonly [T in OwnField['type']]?: string } = { date: 'date' };

/** What may be noted of any finding beside its figures, each in a field of its sort. */
export function NotedFields({ form }: { readonly form: DraftForm }) {
  return NOTED_NAMES.map((name) => {
    const { type, title, hint, options = {} }: OwnField = NOTED[name];
    const field = { label: title, hint, ...form.field(`noted.${name}`) };
    if (type === 'longText') return <TextArea key={name} maxLength={2000} {...field} />;
    if (type === 'choice')
      return (
        <Select key={name} {...field}>
          <option value="">Not said</option>
          {Object.entries(options).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </Select>
      );
    return <TextField key={name} type={INPUTS[type] ?? 'text'} maxLength={200} {...field} />;
  });
}
