import { useState } from 'react';
import {
  TERMINAL_FAMILIES,
  terminalInWords,
  TOOL_TASK_IDS,
  TOOL_TASKS,
  type TerminalFamily,
  type Tool,
} from '@mendum/core';
import { NumberField, Select, TextField } from '../../ui/field.tsx';
import { restOf } from '../../ui/rest.ts';
import { numberOf } from '../../ui/typed.ts';
import { nestDraftOf, Nests, nestsOf, type NestDraft } from './Nests.tsx';
import { ItemForm, type ItemFormProps } from './ItemForm.tsx';

const toggled = <T,>(list: readonly T[], one: T): readonly T[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];

/** A tool that is there: what it does, its dies, ratchet, calibration. */
export function ToolForm({ item: tool, onSave, ...frame }: ItemFormProps<Tool>) {
  const [made, setMade] = useState(tool);
  const [from, setFrom] = useState(String(tool.range?.minMm2 ?? ''));
  const [to, setTo] = useState(String(tool.range?.maxMm2 ?? ''));
  const [nests, setNests] = useState<readonly NestDraft[]>(() => (tool.nests ?? []).map(nestDraftOf));
  const [wrong, setWrong] = useState<string>();
  const save = (): void => {
    const [minMm2, maxMm2] = [numberOf(from), numberOf(to)];
    const none = from.trim() === '' && to.trim() === '';
    if (made.name.trim() === '') return setWrong('Give it a name.');
    if (made.tasks.length === 0) return setWrong('Say what it does.');
    if (!none && !(minMm2 >= 0 && maxMm2 > minMm2))
      return setWrong('Its dies go from a smaller to a larger copper area in mm², or leave both empty.');
    const kept = nestsOf(nests);
    if ('wrong' in kept) return setWrong(kept.wrong);
    const { id, name, tasks, ratchet, calibratedUntil, families } = made;
    return onSave({
      ...restOf(made, ['range', 'families', 'nests', 'calibratedUntil']),
      id,
      name,
      tasks,
      ratchet,
      ...(calibratedUntil === undefined ? {} : { calibratedUntil }),
      ...(none ? {} : { range: { minMm2, maxMm2 } }),
      ...(families && families.length > 0 ? { families } : {}),
      ...(kept.nests.length > 0 ? { nests: kept.nests } : {}),
    });
  };
  return (
    <ItemForm
      {...frame}
      title={frame.isNew ? 'New tool' : made.name}
      words={{ add: 'Add the tool', save: 'Save the tool', remove: 'Take off the list' }}
      onSubmit={save}
    >
      <TextField
        label="Name"
        value={made.name}
        maxLength={200}
        onChange={(event) => setMade({ ...made, name: event.target.value })}
      />
      <fieldset>
        <legend className="font-medium">What it does</legend>
        <div className="grid gap-x-4 sm:grid-cols-2">
          {TOOL_TASK_IDS.map((task) => (
            <label key={task} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-6 accent-(--copper)"
                checked={made.tasks.includes(task)}
                onChange={() => setMade({ ...made, tasks: toggled(made.tasks, task) })}
              />
              {TOOL_TASKS[task].does}
            </label>
          ))}
        </div>
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="Dies from" unit="mm²" value={from} onChange={(event) => setFrom(event.target.value)} />
        <NumberField label="Dies to" unit="mm²" value={to} onChange={(event) => setTo(event.target.value)} />
        <Select
          label="Ratchet"
          value={made.ratchet ? 'yes' : 'no'}
          onChange={(event) => setMade({ ...made, ratchet: event.target.value === 'yes' })}
        >
          <option value="yes">yes</option>
          <option value="no">no</option>
        </Select>
        <TextField
          type="date"
          label="Calibrated until"
          value={made.calibratedUntil ?? ''}
          onChange={(event) =>
            setMade({ ...made, calibratedUntil: event.target.value === '' ? undefined : event.target.value })
          }
        />
      </div>
      {made.tasks.includes('crimpTerminal') ? (
        <fieldset>
          <legend className="font-medium">Terminal dies</legend>
          <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
            {TERMINAL_FAMILIES.map((family: TerminalFamily) => (
              <label key={family} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-6 accent-(--copper)"
                  checked={made.families?.includes(family) ?? false}
                  onChange={() => setMade({ ...made, families: toggled(made.families ?? [], family) })}
                />
                {terminalInWords(family)}
              </label>
            ))}
          </div>
        </fieldset>
      ) : null}
      {made.tasks.some((task) => TOOL_TASKS[task].isCrimp) ? <Nests drafts={nests} onChange={setNests} /> : null}
      {wrong === undefined ? null : (
        <p role="alert" className="text-scrap">
          {wrong}
        </p>
      )}
    </ItemForm>
  );
}
