import { useState } from 'react';
import {
  colourDisagreement,
  fieldOf,
  fieldText,
  kindOf,
  PART_COLOURS,
  withField,
  type Part,
  type PartField,
  type PigtailLead,
} from '@mendum/core';
import { NumberField, Select, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { LeadsField } from './LeadsField.tsx';
import { ItemForm, type ItemFormProps } from './ItemForm.tsx';

/** A part with its figures as stamped: what is typed is kept until it is right. */
export function PartForm({ item: part, onSave, ...frame }: ItemFormProps<Part>) {
  const [made, setMade] = useState<Part>(part);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const [unread, setUnread] = useState<Readonly<Record<string, string | undefined>>>({});
  const number = (path: string, optional: boolean, least: number) => ({
    value: typed[path] ?? fieldText(made, path),
    wrong: wrong[path],
    onChange: (event: { target: { value: string } }) => {
      const text = event.target.value;
      setTyped({ ...typed, [path]: text });
      const value = numberOf(text);
      if (text.trim() === '' && optional) setMade(withField(made, path, undefined));
      else if (value >= least) setMade(withField(made, path, value));
    },
  });
  const check = (): void => {
    const bad: Record<string, string> = {};
    for (const [path, text] of Object.entries(typed)) {
      const optional =
        path === 'place' || kindOf(made.kind).fields.some((field) => field.path === path && field.optional);
      if (text.trim() === '' ? !optional : !(numberOf(text) >= 0)) bad[path] = 'Enter a number, 0 or more.';
    }
    for (const [path, why] of Object.entries(unread)) if (why !== undefined) bad[path] = why;
    const together = kindOf(made.kind).problem?.(made);
    if (together !== undefined && Object.keys(bad).length === 0) bad.together = together;
    setWrong(bad);
    if (Object.keys(bad).length === 0) onSave(made);
  };
  const text = (path: string) => (value: string) => setMade(withField(made, path, value === '' ? undefined : value));
  const figureField = (field: PartField) => {
    switch (field.type) {
      case 'choice':
        return (
          <Select
            key={field.path}
            label={field.title}
            value={fieldText(made, field.path)}
            onChange={(event) => text(field.path)(event.target.value)}
          >
            {field.optional ? <option value="">as usual for it</option> : null}
            {(field.choices ?? []).map(({ value, words }) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </Select>
        );
      case 'text':
        return (
          <TextField
            key={field.path}
            label={field.title}
            value={fieldText(made, field.path)}
            maxLength={field.to}
            onChange={(event) => text(field.path)(event.target.value)}
          />
        );
      case 'leads':
        return (
          <LeadsField
            key={field.path}
            label={field.title}
            leads={(fieldOf(made, field.path) ?? []) as readonly PigtailLead[]}
            wrong={wrong[field.path]}
            onRead={(leads) => setMade(withField(made, field.path, leads.length === 0 ? undefined : leads))}
            onUnread={(why) => setUnread({ ...unread, [field.path]: why })}
          />
        );
      case 'number':
      case 'whole':
        return (
          <NumberField
            key={field.path}
            label={field.title}
            unit={field.unit ?? ''}
            {...number(field.path, field.optional === true, 0)}
          />
        );
    }
  };
  const disagrees = colourDisagreement(made);
  return (
    <ItemForm
      {...frame}
      title={frame.isNew ? `New ${kindOf(made.kind).words}` : made.name}
      about="What is stamped on the part wins over what is usual for its kind."
      words={{ add: 'Put it on the shelf', save: 'Save the part', remove: 'Take off the list' }}
      onSubmit={check}
    >
      <TextField
        label="Name"
        value={made.name}
        maxLength={200}
        onChange={(event) => setMade({ ...made, name: event.target.value })}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="On the shelf" unit="pcs" {...number('quantity', false, 0)} />
        <TextField
          label="Where it is kept"
          value={made.place ?? ''}
          maxLength={200}
          onChange={(event) =>
            setMade(withField(made, 'place', event.target.value === '' ? undefined : event.target.value))
          }
        />
        {kindOf(made.kind).fields.map(figureField)}
        <NumberField label="Rated" unit="°C" {...number('ratedC', false, 0)} />
        <Select
          label="Figures"
          value={made.figuresFrom}
          onChange={(event) => setMade(withField(made, 'figuresFrom', event.target.value))}
        >
          <option value="stamped">as stamped</option>
          <option value="usual">usual for its kind</option>
        </Select>
        <Select
          label="Colour"
          value={made.colour ?? ''}
          onChange={(event) =>
            setMade(withField(made, 'colour', event.target.value === '' ? undefined : event.target.value))
          }
        >
          <option value="">none</option>
          {PART_COLOURS.map((colour) => (
            <option key={colour}>{colour}</option>
          ))}
        </Select>
      </div>
      {wrong.together === undefined ? null : (
        <p role="alert" className="border-l-4 border-scrap pl-3">
          {wrong.together}
        </p>
      )}
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
