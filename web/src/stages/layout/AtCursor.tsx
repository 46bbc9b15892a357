import { useMemo } from 'react';
import {
  diameterAt,
  jacketDiameterMm,
  type Circuit,
  type FindingPlan,
  type RunPlan,
  type SplicePlan,
} from '@mendum/core';
import { CrossSection, type InSection } from '../../draw/CrossSection.tsx';
import { Figure, useLength } from '../../ui/units.tsx';

interface AtCursorProps {
  readonly atMm: number;
  readonly circuits: readonly Circuit[];
  readonly plans: readonly FindingPlan[];
  readonly runPlan: RunPlan;
}

/** Every wire of the bundle, or the body in its place. */
const sectionOf = (circuits: readonly Circuit[], bodyOf: (circuitId: string) => number | undefined): InSection[] =>
  circuits.map((circuit) => {
    const [wireMm, body] = [jacketDiameterMm(circuit.wire), bodyOf(circuit.id)];
    return {
      key: circuit.id,
      colour: circuit.wire.colour,
      wireMm,
      diameterMm: body ?? wireMm,
      isSplice: body !== undefined,
    };
  });

/** Bodies by circuit, as a key: sections are packed anew only when it changes, not with every millimetre. */
const keyOf = (splices: readonly SplicePlan[]): string =>
  splices.map((splice) => `${splice.circuitId} ${splice.joint.bodyDiameterMm}`).join('\n');

function useSection(circuits: readonly Circuit[], splices: readonly SplicePlan[]): InSection[] {
  const key = keyOf(splices);
  return useMemo(() => {
    const bodies = new Map(
      key === ''
        ? []
        : key
            .split('\n')
            .map((line): [string, number] => [
              line.slice(0, line.lastIndexOf(' ')),
              Number(line.slice(line.lastIndexOf(' ') + 1)),
            ]),
    );
    return sectionOf(circuits, (id) => bodies.get(id));
  }, [circuits, key]);
}

/** The bundle cut through where the cursor stands, and its diameter there. */
export function AtCursor({ atMm, circuits, plans, runPlan }: AtCursorProps) {
  const { plain, unit } = useLength();
  const parts = useSection(
    circuits,
    plans.flatMap((finding) => finding.splices).filter((splice) => splice.fromMm <= atMm && atMm <= splice.toMm),
  );
  return (
    <figure className="flex items-center gap-2 max-lg:gap-1 max-lg:[&_svg]:size-14">
      <CrossSection parts={parts} size={80} acrossMm={Math.max(runPlan.lumpMm, runPlan.peakMm)} />
      <figcaption className="leading-tight">
        <p className="text-2xl font-semibold max-lg:text-xl">
          <Figure value={plain(diameterAt(runPlan.profile, atMm))} />
        </p>
        <p className="text-sm whitespace-nowrap text-soft">
          {unit} at <Figure value={plain(atMm, 0)} />
        </p>
      </figcaption>
    </figure>
  );
}

/** What staggering gains: the thickest place, and beside it to the same scale the lump of all splices at one place. */
export function Staggered({ circuits, plans, runPlan }: Omit<AtCursorProps, 'atMm'>) {
  const { plain, unit } = useLength();
  const splices = plans.flatMap((finding) => finding.splices);
  const peakAt = runPlan.profile.find((stretch) => stretch.diameterMm >= runPlan.peakMm - 1e-6);
  const middle = peakAt ? (peakAt.fromMm + peakAt.toMm) / 2 : 0;
  const peak = useSection(
    circuits,
    splices.filter((splice) => splice.fromMm <= middle && middle <= splice.toMm),
  );
  const lump = useSection(circuits, splices);
  const thinner = runPlan.lumpMm - runPlan.peakMm;
  if (thinner <= 0.05) return null;
  return (
    <section aria-label="What staggering gains" className="flex flex-wrap items-center gap-x-8 gap-y-3">
      {(
        [
          [peak, runPlan.peakMm, 'as laid out, at its thickest'],
          [lump, runPlan.lumpMm, 'all at one place'],
        ] as const
      ).map(([parts, mm, words]) => (
        <figure key={words} className="flex items-center gap-3">
          <CrossSection parts={parts} acrossMm={runPlan.lumpMm} />
          <figcaption>
            <p className="text-3xl font-semibold">
              <Figure value={plain(mm)} unit={unit} />
            </p>
            <p className="text-soft">{words}</p>
          </figcaption>
        </figure>
      ))}
      <p className="text-lg">
        <b>
          <Figure value={plain(thinner)} unit={unit} />
        </b>{' '}
        thinner than with all splices at one place
      </p>
    </section>
  );
}
