import { useState, type ComponentProps } from 'react';
import { cablesAlong, type Cable, type Circuit, type Harness, type Run } from '@mendum/core/harness';
import type { HarnessEdit } from '@mendum/core/survey';
import { colourInWords } from '@mendum/core/wire';
import { cableSchema } from '@mendum/core/schemas';
import { useKept } from '../../form/useKept.ts';
import { ColourPick } from '../../quick/ColourPick.tsx';
import { WireChip } from '../../shapes/WireLine.tsx';
import { Button } from '../../ui/button.tsx';
import { NumberField, TextField, TickBox } from '../../ui/field.tsx';
import { freeId } from './draft.ts';

interface CableFormProps {
  readonly harness: Harness;
  readonly run: Run;
  readonly onEdit: (...edits: readonly HarnessEdit[]) => boolean;
}

/** Circuits that go along all runs of a cable: its cores are among them. */
const goAlong = (harness: Harness, runIds: readonly string[]): readonly Circuit[] =>
  harness.circuits.filter((circuit) => runIds.every((id) => circuit.runIds.includes(id)));

/** A cable along a run that nobody has described: all wires that are no core of another one. */
function freshCable(harness: Harness, run: Run): Cable {
  const inside = new Set(cablesAlong(harness.cables, run.id).flatMap(({ coreIds }) => coreIds));
  const id = freeId(
    'W',
    (harness.cables ?? []).flatMap((one) => [one.id, one.name]),
  );
  return {
    id,
    name: id,
    runIds: [run.id],
    coreIds: goAlong(harness, [run.id]).flatMap((circuit) => (inside.has(circuit.id) ? [] : [circuit.id])),
    spares: [],
  };
}

/** Cores that carry nothing, by their colour. */
function Spares({ cable, onKeep }: { readonly cable: Cable; readonly onKeep: (cable: Cable) => void }) {
  const [picking, setPicking] = useState<number>();
  const { spares } = cable;
  const at = picking === undefined ? undefined : spares[picking];
  const put = (index: number, spare: Cable['spares'][number] | undefined): void =>
    onKeep({ ...cable, spares: spares.flatMap((one, place) => (place === index ? (spare ? [spare] : []) : [one])) });
  return (
    <div>
      <p className="font-semibold">Cores that carry nothing</p>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {spares.map(({ colour }, index) => (
          // Cores have no names: their place in the list is all there is.
          <Button key={index} onClick={() => setPicking(picking === index ? undefined : index)}>
            {colour ? <WireChip width={36} colour={colour} title="" /> : null}
            {colour ? colourInWords(colour) : 'colour?'}
          </Button>
        ))}
        <Button
          onClick={() => {
            onKeep({ ...cable, spares: [...spares, {}] });
            setPicking(spares.length);
          }}
        >
          Add a core
        </Button>
      </div>
      {at !== undefined && picking !== undefined ? (
        <div className="mt-2 grid gap-2 border-l-4 border-copper pl-3">
          <ColourPick colour={at.colour ?? { base: 'white' }} onPick={(colour) => put(picking, { colour })} />
          <Button
            look="quiet"
            className="justify-self-start"
            onClick={() => {
              put(picking, undefined);
              setPicking(undefined);
            }}
          >
            There is no such core
          </Button>
        </div>
      ) : null}
    </div>
  );
}

/** Runs that all cores of a cable go along, and those where it lies. */
const mayLieAlong = ({ runs, circuits }: Harness, { runIds, coreIds }: Cable): readonly Run[] =>
  runs.filter(
    ({ id }) =>
      runIds.includes(id) ||
      (coreIds.length > 0 && circuits.every((one) => !coreIds.includes(one.id) || one.runIds.includes(id))),
  );

/** Along which runs it lies: asked where its cores go along others as well. */
function WhereItLies({
  harness,
  cable,
  onKeep,
}: {
  readonly harness: Harness;
  readonly cable: Cable;
  readonly onKeep: (cable: Cable) => void;
}) {
  const runs = mayLieAlong(harness, cable);
  if (runs.length < 2) return null;
  const { runIds } = cable;
  return (
    <div>
      <p className="font-semibold">Along which runs</p>
      <div className="mt-1 grid gap-x-4 sm:grid-cols-2">
        {runs.map(({ id, name }) => (
          <TickBox
            key={id}
            label={`along ${name}`}
            checked={runIds.includes(id)}
            disabled={runIds.length === 1 && runIds[0] === id}
            onChange={(event) =>
              onKeep({
                ...cable,
                runIds: runs.flatMap((run) =>
                  (run.id === id ? event.target.checked : runIds.includes(run.id)) ? [run.id] : [],
                ),
              })
            }
          />
        ))}
      </div>
    </div>
  );
}

/** The diameter over a cable's jacket, to which what asks for it leads. */
const JacketField = (field: Omit<ComponentProps<typeof NumberField>, 'label' | 'unit'>) => (
  <NumberField label="Cable jacket, outside" data-field="cableMm" unit="mm" {...field} />
);

/** One cable: what it is called, how thick it is, which wires are its cores. */
function OneCable({ harness, cable, onEdit }: Omit<CableFormProps, 'run'> & { readonly cable: Cable }) {
  const keep = (changed: Cable): boolean => onEdit({ do: 'setCable', cable: changed });
  const { field } = useKept<Cable>(cableSchema, cable, keep);
  return (
    <fieldset className="grid gap-3 border-t border-rule pt-3">
      <legend className="text-lg font-semibold">Jacketed cable {cable.name}</legend>
      <div className="grid items-start gap-3 sm:grid-cols-3">
        <TextField label="Cable’s name" maxLength={200} {...field('name')} />
        <JacketField hint="Empty while nobody has measured it." {...field('outerMm')} />
      </div>
      <WhereItLies harness={harness} cable={cable} onKeep={keep} />
      <div>
        <p className="font-semibold">Its cores</p>
        <div className="mt-1 grid gap-x-4 sm:grid-cols-2">
          {goAlong(harness, cable.runIds).map(({ id, number, function: does, wire }) => (
            <TickBox
              key={id}
              label={`${number} ${does}, ${colourInWords(wire.colour)}`}
              checked={cable.coreIds.includes(id)}
              onChange={(event) =>
                keep({
                  ...cable,
                  coreIds: event.target.checked ? [...cable.coreIds, id] : cable.coreIds.filter((one) => one !== id),
                })
              }
            />
          ))}
        </div>
      </div>
      <Spares cable={cable} onKeep={keep} />
      <Button
        look="quiet"
        className="justify-self-start"
        onClick={() => onEdit({ do: 'removeCable', cableId: cable.id })}
      >
        It is no cable: these are single wires
      </Button>
    </fieldset>
  );
}

/** A cable that is there and not described: told by its diameter, or as one that nobody has measured. */
function NewCable({ harness, run, onEdit }: CableFormProps) {
  const fresh = freshCable(harness, run);
  const { field } = useKept<Cable>(cableSchema, fresh, (cable) => onEdit({ do: 'setCable', cable }));
  return (
    <div className="flex flex-wrap items-start gap-3 border-t border-rule pt-3">
      <div className="w-60">
        <JacketField hint="Where a jacketed cable lies here." {...field('outerMm')} />
      </div>
      <Button className="mt-7" onClick={() => onEdit({ do: 'setCable', cable: fresh })}>
        A cable, not measured yet
      </Button>
    </div>
  );
}

/** The jacketed cables along a run, each with its cores. */
export function CableForm({ harness, run, onEdit }: CableFormProps) {
  const along = cablesAlong(harness.cables, run.id);
  return (
    <>
      {along.map((cable) => (
        <OneCable key={cable.id} harness={harness} cable={cable} onEdit={onEdit} />
      ))}
      {along.length === 0 ? (
        <NewCable harness={harness} run={run} onEdit={onEdit} />
      ) : (
        <Button
          className="justify-self-start"
          onClick={() => onEdit({ do: 'setCable', cable: freshCable(harness, run) })}
        >
          Another cable along {run.name}
        </Button>
      )}
    </>
  );
}
