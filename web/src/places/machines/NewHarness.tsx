import { useState } from 'react';
import { useNavigate } from 'react-router';
import { cavitiesOf, type ConnectorFace } from '@mendum/core/connector';
import { importable, type PinoutHarness } from '@mendum/core/pinout';
import { faceMisses, harnessFromPinout, nodeOfConnector, proposeTree } from '@mendum/core/survey';
import { useHarnessesInfiniteQuery } from '../../app/api.ts';
import { useSave } from '../../app/change.ts';
import { usePages } from '../../app/usePages.ts';
import { useSettled } from '../../ui/useSettled.ts';
import { notify } from '../../app/notice.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { NumberField, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { faceOf, NEW_FACE } from './faceDraft.ts';
import { sourceOf } from './import/SheetOrigin.tsx';
import { SheetReading } from './import/SheetReading.tsx';
import { useSheet } from './import/useSheet.ts';

const NOTHING: PinoutHarness = { nodes: [], runs: [], circuits: [] };
interface Typed {
  readonly machine: string;
  readonly kind: string;
  readonly volts: string;
  readonly harness: string;
}

/** A new harness in one go: machine, the pinout out of a sheet, the rows of its connectors, the lengths of its runs. */
export function NewHarness({ onClose }: { readonly onClose: () => void }) {
  const sheet = useSheet(NOTHING);
  const { save: send, busy } = useSave();
  const navigate = useNavigate();
  const [typed, setTyped] = useState<Typed>({ machine: '', kind: '', volts: '12', harness: '' });
  const machine = useSettled(typed.machine.trim());
  const { lines: known = [] } = usePages(useHarnessesInfiniteQuery(machine === '' ? {} : { search: machine }));
  const [rowsOf, setRows] = useState<Readonly<Record<string, { readonly rows: string; readonly columns: string }>>>({});
  const [lengths, setLengths] = useState<Readonly<Record<string, string>>>({});
  const [wrong, setWrong] = useState<string>();
  const { reading } = sheet;
  const ready = reading !== undefined && importable(reading);
  const tree = ready
    ? proposeTree(
        reading.newConnectors.map(nodeOfConnector),
        reading.rows.map((row) => row.circuit),
      )
    : undefined;
  const set = (part: Partial<Typed>): void => setTyped((now) => ({ ...now, ...part }));
  const sameMachine = known.find((one) => one.machine.toLowerCase() === typed.machine.trim().toLowerCase());
  const faces = new Map(
    (reading?.newConnectors ?? []).flatMap(({ name }): [string, ConnectorFace][] => {
      const made = faceOf({ ...NEW_FACE, way: { kind: 'rowWise' }, ...(rowsOf[name] ?? {}) });
      return made.ok ? [[name, made.face]] : [];
    }),
  );
  const misses = (name: string): string | undefined => {
    const connector = reading?.newConnectors.find((one) => one.name === name);
    const face = faces.get(name);
    return connector && face ? faceMisses(face, connector) : undefined;
  };
  const missing = [
    typed.machine.trim() === '' ? 'the machine' : '',
    typed.harness.trim() === '' ? 'the harness' : '',
    numberOf(typed.volts) > 0 ? '' : 'the voltage',
    ...(tree?.runs.flatMap(({ id, name }) => {
      const typedMm = lengths[id] ?? '';
      return typedMm.trim() === '' || numberOf(typedMm) >= 1 ? [] : [`the length of ${name}, 1 mm or more`];
    }) ?? []),
  ].filter((words) => words !== '');
  const save = async (): Promise<void> => {
    if (!ready) return;
    const harness = harnessFromPinout(
      typed.harness.trim(),
      reading,
      new Map(
        Object.entries(lengths).flatMap(([id, text]) => (text.trim() === '' ? [] : [[id, numberOf(text)] as const])),
      ),
      faces,
    );
    const source = sourceOf(sheet.origin);
    const machine = sameMachine
      ? { name: sameMachine.machine, kind: sameMachine.machineKind, systemVoltageV: sameMachine.systemVoltageV }
      : {
          name: typed.machine.trim(),
          kind: typed.kind.trim() === '' ? 'machine' : typed.kind.trim(),
          systemVoltageV: numberOf(typed.volts),
        };
    const outcome = await send(
      'addHarness',
      {
        machine: { id: 'machine', ...machine },
        harness: { id: 'harness', ...harness, ...(source && { sources: [source] }) },
      },
      { quiet: true },
    );
    if (!outcome.ok) {
      setWrong(`${outcome.error.message} ${outcome.error.hint ?? ''}`);
      return;
    }
    notify(
      `${harness.name} is described: ${harness.circuits.length} ${harness.circuits.length === 1 ? 'circuit' : 'circuits'}`,
    );
    void navigate(`/machines/${outcome.data.id}`);
  };
  return (
    <Dialog
      open
      shape="wide"
      onClose={onClose}
      title="Describe a new harness"
      about="Its pinout comes from a sheet; what the sheet does not say is asked here."
    >
      <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-6">
        <div className="grid gap-3 sm:grid-cols-4">
          <TextField
            label="Machine"
            list="known-machines"
            value={typed.machine}
            maxLength={200}
            onChange={(event) => set({ machine: event.target.value })}
          />
          <datalist id="known-machines">
            {[...new Set(known.map((one) => one.machine))].map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
          {sameMachine ? (
            <p className="self-end pb-2 text-lg text-soft sm:col-span-2">
              {sameMachine.machineKind}, <span className="figure">{sameMachine.systemVoltageV}</span> V, known already
            </p>
          ) : (
            <>
              <TextField
                label="What it is"
                placeholder="loader, tractor, bus"
                value={typed.kind}
                maxLength={200}
                onChange={(event) => set({ kind: event.target.value })}
              />
              <NumberField
                label="Voltage"
                unit="V"
                value={typed.volts}
                onChange={(event) => set({ volts: event.target.value })}
              />
            </>
          )}
          <TextField
            label="Harness"
            placeholder="W12"
            value={typed.harness}
            maxLength={200}
            onChange={(event) => set({ harness: event.target.value })}
          />
        </div>
        <SheetReading of={sheet} nodes={reading?.newConnectors.map(nodeOfConnector) ?? []}>
          {tree ? (
            <>
              <fieldset className="grid gap-3 border-t border-rule pt-3">
                <legend className="text-lg font-semibold">Connectors</legend>
                <p className="text-soft">
                  Rows and columns on the mating side, latch up, numbered row by row. Another layout is described
                  afterwards; leave those empty.
                </p>
                {reading?.newConnectors
                  .filter((one) => one.kind === 'connector')
                  .map(({ name, cavities }) => (
                    <div key={name} className="grid items-end gap-3 sm:grid-cols-[2fr_1fr_1fr_2fr]">
                      <p className="pb-2 text-lg">
                        <b>{name}</b>{' '}
                        <span className="text-soft">
                          {cavities.length} {cavities.length === 1 ? 'cavity' : 'cavities'} used
                        </span>
                      </p>
                      <NumberField
                        label={`Rows of ${name}`}
                        unit="rows"
                        value={rowsOf[name]?.rows ?? ''}
                        onChange={(event) =>
                          setRows({
                            ...rowsOf,
                            [name]: { rows: event.target.value, columns: rowsOf[name]?.columns ?? '' },
                          })
                        }
                      />
                      <NumberField
                        label={`Columns of ${name}`}
                        unit="cols"
                        value={rowsOf[name]?.columns ?? ''}
                        onChange={(event) =>
                          setRows({
                            ...rowsOf,
                            [name]: { rows: rowsOf[name]?.rows ?? '', columns: event.target.value },
                          })
                        }
                      />
                      <p className={`pb-2 ${misses(name) === undefined ? 'text-soft' : 'text-scrap'}`}>
                        {misses(name) ??
                          (faces.has(name)
                            ? `${cavitiesOf(faces.get(name) ?? { layout: { kind: 'free', places: [] }, numbering: { kind: 'rowWise' } }).length}-way`
                            : 'not described yet')}
                      </p>
                    </div>
                  ))}
              </fieldset>
              <fieldset className="grid gap-3 border-t border-rule pt-3 sm:grid-cols-3">
                <legend className="text-lg font-semibold">Runs, as measured: empty where nobody has</legend>
                {tree.runs.map((run) => (
                  <NumberField
                    key={run.id}
                    label={run.name}
                    unit="mm"
                    value={lengths[run.id] ?? ''}
                    onChange={(event) => setLengths({ ...lengths, [run.id]: event.target.value })}
                  />
                ))}
              </fieldset>
              {wrong === undefined ? null : (
                <p role="alert" className="border-l-4 border-scrap pl-3 text-lg text-scrap">
                  {wrong}
                </p>
              )}
              <div className="flex flex-wrap items-center gap-4">
                <Button
                  look="copper"
                  disabled={missing.length > 0 || busy || [...faces.keys()].some((name) => misses(name) !== undefined)}
                  onClick={() => void save()}
                >
                  Save this harness
                </Button>
                {missing.length > 0 ? (
                  <p className="text-soft">
                    Still missing: {missing.slice(0, 3).join(', ')}
                    {missing.length > 3 ? ` and ${missing.length - 3} more` : ''}.
                  </p>
                ) : null}
              </div>
            </>
          ) : null}
        </SheetReading>
      </div>
    </Dialog>
  );
}
