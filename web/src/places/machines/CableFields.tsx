import { useState } from 'react';
import type { HarnessEdit, Run } from '@mendum/core';
import { NumberField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';

const THICKEST_MM = 100;
const MOST_CORES = 100;

/** The jacketed cable that a run is, of which its circuits are cores; empty where it is none. */
export function CableFields({
  run,
  onEdit,
}: {
  readonly run: Run;
  readonly onEdit: (...edits: readonly HarnessEdit[]) => boolean;
}) {
  const { cable } = run;
  const [outer, setOuter] = useState(String(cable?.outerMm ?? ''));
  const [cores, setCores] = useState(String(cable?.unusedCores ?? ''));
  const [wrong, setWrong] = useState<{ readonly outer?: string | undefined; readonly cores?: string | undefined }>({});
  const change = (made: Run['cable'] | null): void => {
    if (made?.outerMm !== cable?.outerMm || made?.unusedCores !== cable?.unusedCores)
      onEdit({ do: 'changeRun', runId: run.id, change: { cable: made } });
  };
  const save = (): void => {
    const [outerMm, unusedCores] = [numberOf(outer), cores.trim() === '' ? 0 : numberOf(cores)];
    const isNone = outer.trim() === '';
    const bad = {
      outer:
        isNone || (outerMm > 0 && outerMm <= THICKEST_MM)
          ? undefined
          : `Enter its diameter, above 0 to ${THICKEST_MM} mm.`,
      cores:
        isNone || (Number.isInteger(unusedCores) && unusedCores >= 0 && unusedCores <= MOST_CORES)
          ? undefined
          : `Enter a whole number from 0 to ${MOST_CORES}.`,
    };
    setWrong(bad);
    if (isNone) change(cable ? null : undefined);
    else if (bad.outer === undefined && bad.cores === undefined) change({ outerMm, unusedCores });
  };
  return (
    <>
      <NumberField
        label="Cable jacket, outside"
        name="cableMm"
        hint="Only where the run is one jacketed cable."
        unit="mm"
        wrong={wrong.outer}
        value={outer}
        onChange={(event) => setOuter(event.target.value)}
        onBlur={save}
      />
      {outer.trim() === '' ? null : (
        <NumberField
          label="Its unused cores"
          unit="pcs"
          wrong={wrong.cores}
          value={cores}
          onChange={(event) => setCores(event.target.value)}
          onBlur={save}
        />
      )}
    </>
  );
}
