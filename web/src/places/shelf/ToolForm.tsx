import { TOOL_TASK_IDS, TOOL_TASKS, type Tool } from '@mendum/core/catalogue';
import { TERMINAL_FAMILIES, terminalInWords } from '@mendum/core/harness';
import { toolSchema } from '@mendum/core/schemas';
import { useThing } from '../../form/useThing.ts';
import { NumberField, Select, TextField, TickBox, WrongWords } from '../../ui/field.tsx';
import { Nests } from './Nests.tsx';
import { ItemForm, type ItemFormProps } from './ItemForm.tsx';

const toggled = <T,>(list: readonly T[], one: T): readonly T[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
const filled = <T,>(list: readonly T[]): readonly T[] | undefined => (list.length === 0 ? undefined : list);

/** A tool that is there: what it does, its dies, ratchet, calibration. */
export function ToolForm({ item: tool, onSave, ...frame }: ItemFormProps<Tool>) {
  const form = useThing(toolSchema, tool);
  const { tasks, families = [], nests = [] } = form.typed;
  return (
    <ItemForm
      {...frame}
      title={frame.isNew ? 'New tool' : tool.name}
      words={{ add: 'Add the tool', save: 'Save the tool', remove: 'Take off the list' }}
      onSubmit={form.submit(onSave)}
      wrong={form.wrong('root')}
    >
      <TextField label="Name" maxLength={200} {...form.field('name')} />
      <fieldset>
        <legend className="font-medium">What it does</legend>
        <div className="grid gap-x-4 sm:grid-cols-2">
          {TOOL_TASK_IDS.map((task) => (
            <TickBox
              key={task}
              label={TOOL_TASKS[task].does}
              checked={tasks.includes(task)}
              onChange={() => form.set('tasks', toggled(tasks, task))}
            />
          ))}
        </div>
        <WrongWords>{form.wrong('tasks')}</WrongWords>
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="Dies from" unit="mm²" {...form.field('range.minMm2')} />
        <NumberField label="Dies to" unit="mm²" {...form.field('range.maxMm2')} />
        <Select
          label="Ratchet"
          value={form.typed.ratchet ? 'yes' : 'no'}
          onChange={(event) => form.set('ratchet', event.target.value === 'yes')}
        >
          <option value="yes">yes</option>
          <option value="no">no</option>
        </Select>
        <TextField type="date" label="Calibrated until" {...form.field('calibratedUntil')} />
      </div>
      {tasks.includes('crimpTerminal') ? (
        <fieldset>
          <legend className="font-medium">Terminal dies</legend>
          <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
            {TERMINAL_FAMILIES.map((family) => (
              <TickBox
                key={family}
                label={terminalInWords(family)}
                checked={families.includes(family)}
                onChange={() => form.set('families', filled(toggled(families, family)))}
              />
            ))}
          </div>
        </fieldset>
      ) : null}
      {tasks.some((task) => TOOL_TASKS[task].isCrimp) ? (
        <Nests form={form} nests={nests} onChange={(changed) => form.set('nests', filled(changed))} />
      ) : null}
    </ItemForm>
  );
}
