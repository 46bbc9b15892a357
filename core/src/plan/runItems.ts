import { withShieldBeside, type Decision } from '../approach/index.ts';
import { keepOuts, thingsAlong, type Run } from '../harness/index.ts';
import { PLACE_GRACE_MM, windowsOf, type LayoutItem, type Pin, type RunToLayOut } from '../layout/index.ts';
import type { SizedJoint } from '../family/index.ts';
import type { Practice } from '../practice/index.ts';
import { mateOf, type JobIndex } from '../job/index.ts';
import type { Job } from '../job/index.ts';
import type { Decided } from './types.ts';

export const limitsOf = (
  figures: Practice['figures'],
): { readonly betweenBodiesMm: number; readonly preferFromConnectorMm: number; readonly connectorClearMm: number } => ({
  betweenBodiesMm: figures.betweenBodiesMm,
  preferFromConnectorMm: figures.preferFromConnectorMm,
  connectorClearMm: figures.clearMm.connector,
});

/** The joints of a decision as they take room: a shield's beside each. */
export const jointsOf = ({ method, shield }: Decision): readonly SizedJoint[] =>
  (method?.joints ?? []).map((joint, index) =>
    withShieldBeside(joint, shield?.method.joints[index] ?? shield?.method.joints[0]),
  );

/** What of a decision wants a place; nothing where no splice is made. */
export const layoutItem = ({ decision, finding }: Decided, index: JobIndex): LayoutItem | undefined =>
  decision.method && {
    findingId: finding.id,
    circuitId: decision.circuitId,
    joints: jointsOf(decision),
    lost: decision.lost,
    slackMm: decision.slackMm,
    within: decision.within,
    pairFindingId: mateOf(finding, index)?.id,
    lead: decision.lead,
    extraMm: decision.extraMm,
  };

/** Splices that stay: made already, and put somewhere by a person. */
export const pinsOf = ({ pins, layout }: Job): Pin[] => [
  ...pins,
  ...(layout?.pins ?? []).filter((pin) => !pins.some((made) => made.findingId === pin.findingId)),
];

/**
 * The run of a job with the items that are laid out on it.
 * @param alsoOpened stretches that are opened besides: covers, and where an insert runs through from end to end
 * @param lying what is on its wires already, and covers
 */
export function runToLayOut(
  run: Run,
  items: readonly LayoutItem[],
  alsoOpened: RunToLayOut['alsoOpened'],
  lying: RunToLayOut['lying'],
  job: Job,
  index: JobIndex,
  practice: Practice,
): RunToLayOut {
  const isHere = (pin: Pin, item: LayoutItem): boolean =>
    pin.findingId === item.findingId && pin.runId === item.half?.runId;
  const pins = pinsOf(job).filter((pin) =>
    items.some((item) => {
      const window = isHere(pin, item) ? windowsOf(item).get(pin.side)?.window : undefined;
      return (
        window !== undefined &&
        (job.pins.includes(pin) ||
          (pin.centreMm >= window.fromMm - PLACE_GRACE_MM && pin.centreMm <= window.toMm + PLACE_GRACE_MM))
      );
    }),
  );
  return {
    lengthMm: run.lengthMm,
    keepOuts: keepOuts(run, index.nodes, practice.figures.clearMm),
    items,
    pins,
    found: job.layout?.found.filter((place) => items.some((item) => isHere(place, item))),
    ...limitsOf(practice.figures),
    wires: thingsAlong(run.id, index.inRun.get(run.id) ?? [], index.cables).sort((a, b) =>
      a.circuitId.localeCompare(b.circuitId),
    ),
    ...(lying?.length ? { lying } : {}),
    alsoOpened,
  };
}
