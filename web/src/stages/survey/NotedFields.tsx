import { NOTED, NOTED_NAMES, type OwnField } from '@mendum/core';
import { TextArea, TextField } from '../../ui/field.tsx';
import type { Wrongs } from './draft.ts';

/** Fields that the browser has a kind of its own for. */
const INPUTS: { readonly [T in OwnField['type']]?: string } = { date: 'date' };

/** What may be noted of any finding beside its figures, each in a field of its sort. */
export function NotedFields({
  noted,
  wrong,
  onChange,
}: {
  readonly noted: Readonly<Record<string, string>>;
  readonly wrong: Wrongs;
  readonly onChange: (noted: Readonly<Record<string, string>>) => void;
}) {
  return NOTED_NAMES.map((name) => {
    const { type, title, hint }: OwnField = NOTED[name];
    const field = {
      name,
      label: title,
      hint,
      wrong: wrong[name],
      value: noted[name] ?? '',
      onChange: (event: { target: { value: string } }) => onChange({ ...noted, [name]: event.target.value }),
    };
    if (type === 'longText') return <TextArea key={name} maxLength={2000} {...field} />;
    return <TextField key={name} type={INPUTS[type] ?? 'text'} maxLength={200} {...field} />;
  });
}
