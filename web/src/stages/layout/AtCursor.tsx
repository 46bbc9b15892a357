import { useMemo } from 'react';
import { thingsAlong, type Cable, type Circuit } from '@mendum/core/harness';
import { bundleWith, diameterAt, thickLying, thickSplice, type BodyOn } from '@mendum/core/layout';
import type { FindingPlan, RunPlan, SplicePlan } from '@mendum/core/plan';
import { CrossSection, type InSection } from '../../draw/CrossSection.tsx';
import { useOpenJob } from '../job.ts';
import { Figure, useLength } from '../../ui/units.tsx';

interface AtCursorProps {
  readonly atMm: number;
  readonly circuits: readonly Circuit[];
  readonly plans: readonly FindingPlan[];
  readonly runPlan: RunPlan;
}

/** A jacket that nobody has named a colour of. */
const JACKET = { base: 'black' } as const;

/** Everything in the bundle, or the body in its place; a cable is one thing. */
function sectionOf(
  runId: string,
  circuits: readonly Circuit[],
  cables: readonly Cable[] | undefined,
  bodies: readonly BodyOn[],
): InSection[] {
  const things = thingsAlong(runId, circuits, cables);
  const { inPlace } = bundleWith(things, bodies);
  return things.map(({ circuitId, jacketMm }, index) => ({
    key: circuitId,
    colour: circuits.find(({ id }) => id === circuitId)?.wire.colour ?? JACKET,
    wireMm: jacketMm,
    diameterMm: inPlace.get(index) ?? jacketMm,
    isSplice: inPlace.has(index),
  }));
}

/** Bodies over a place: splices, and what is on the wires whatever the layout. */
const bodiesAt = (splices: readonly SplicePlan[], { lying = [] }: RunPlan, atMm: number): readonly BodyOn[] =>
  [...splices.map(thickSplice), ...lying.map(thickLying)].filter((one) => one.fromMm <= atMm && atMm <= one.toMm);

function useSection(runId: string, circuits: readonly Circuit[], bodies: readonly BodyOn[]): InSection[] {
  const { cables } = useOpenJob().view.job.harness;
  // Packed anew only when bodies change, not with every millimetre.
  const key = JSON.stringify(bodies.map(({ circuitId, bodyMm }) => ({ circuitId, bodyMm })));
  return useMemo(
    () => sectionOf(runId, circuits, cables, JSON.parse(key) as readonly BodyOn[]),
    [runId, circuits, cables, key],
  );
}

/** The bundle cut through where the cursor stands, and its diameter there. */
export function AtCursor({ atMm, circuits, plans, runPlan }: AtCursorProps) {
  const { plain, unit } = useLength();
  const parts = useSection(
    runPlan.runId,
    circuits,
    bodiesAt(
      plans.flatMap((finding) => finding.splices),
      runPlan,
      atMm,
    ),
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
  const peak = useSection(runPlan.runId, circuits, bodiesAt(splices, runPlan, middle));
  const lump = useSection(runPlan.runId, circuits, splices.map(thickSplice));
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
