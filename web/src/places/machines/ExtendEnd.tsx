import { useState } from 'react';
import type { Harness, HarnessNode } from '@mendum/core/harness';
import type { HarnessEdit } from '@mendum/core/survey';
import { Button } from '../../ui/button.tsx';
import { runBeyond } from './runBeyond.ts';
import { NumberField, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';

interface ExtendEndProps {
  readonly harness: Harness;
  readonly node: HarnessNode;
  readonly onEdit: (...edits: readonly HarnessEdit[]) => boolean;
}

/** A mark where a harness was opened: which connector really lies beyond it, how far, and in which cavities its wires end. */
export function ExtendEnd({ harness, node, onEdit }: ExtendEndProps) {
  const [beyond, setBeyond] = useState('');
  const [name, setName] = useState('');
  const ending = harness.circuits.flatMap((circuit) =>
    (['from', 'to'] as const).flatMap((end) =>
      circuit[end].nodeId === node.id ? [{ circuit, end, cavity: circuit[end].cavity }] : [],
    ),
  );
  const [cavities, setCavities] = useState<Readonly<Record<string, string>>>({});
  const keyOf = ({ circuit, end }: (typeof ending)[number]): string => `${circuit.id} ${end}`;
  const cavityOf = (one: (typeof ending)[number]): string => cavities[keyOf(one)] ?? one.cavity;
  const byMm = beyond.trim() === '' ? undefined : numberOf(beyond);
  const isFar = byMm === undefined || (byMm >= 0 && byMm <= 1_000_000);
  const wanted = ending.map(cavityOf);
  const twice = wanted.find((cavity, index) => wanted.indexOf(cavity) !== index);
  const called = name.trim();
  const moved = (one: (typeof ending)[number], nodeId: string): HarnessEdit => ({
    do: 'setCircuit',
    circuit: {
      ...one.circuit,
      [one.end]: { nodeId, cavity: cavityOf(one).trim() },
      ...(nodeId === node.id ? {} : { runIds: [] }),
    },
  });
  // At a distance that nobody knows, the mark stays, since all places are measured from it.
  const goOn = (): boolean => {
    const beyondMark = runBeyond(harness, node, { kind: 'connector', name: called }, undefined);
    return onEdit(beyondMark, ...ending.map((one) => moved(one, beyondMark.node.id)));
  };
  const grow = (): boolean =>
    byMm === undefined
      ? goOn()
      : onEdit(
          { do: 'extendEnd', byMm, node: { ...node, kind: 'connector', name: called } },
          ...ending.flatMap((one) => (cavityOf(one) === one.cavity ? [] : [moved(one, node.id)])),
        );
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-3">
      <legend className="text-lg font-semibold">What really lies beyond {node.name}</legend>
      <p className="text-soft">All that was measured from {node.name} stays where it is on the wire.</p>
      <div className="grid items-start gap-2 sm:grid-cols-[1fr_1fr_auto]">
        <TextField label="Connector" maxLength={60} value={name} onChange={(event) => setName(event.target.value)} />
        <NumberField
          label={`How far beyond ${node.name}`}
          hint="Empty: nobody has measured it."
          unit="mm"
          value={beyond}
          onChange={(event) => setBeyond(event.target.value)}
          wrong={isFar ? undefined : 'Enter a length from 0 to 1,000,000 mm, or leave it empty.'}
        />
        <Button
          look="copper"
          className="mt-7"
          disabled={!isFar || name.trim() === '' || twice !== undefined || wanted.some((one) => one.trim() === '')}
          onClick={grow}
        >
          It ends there
        </Button>
      </div>
      <div className="grid gap-2 sm:grid-cols-3 lg:grid-cols-4">
        {ending.map((one) => (
          <TextField
            key={keyOf(one)}
            label={`Cavity of ${one.circuit.number}, ${one.circuit.function}`}
            maxLength={20}
            value={cavityOf(one)}
            onChange={(event) => setCavities((now) => ({ ...now, [keyOf(one)]: event.target.value }))}
            wrong={twice !== undefined && cavityOf(one) === twice ? `Cavity ${twice} is named twice.` : undefined}
          />
        ))}
      </div>
    </fieldset>
  );
}
