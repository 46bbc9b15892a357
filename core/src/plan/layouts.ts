import { conduitFor } from '../bundle/index.ts';
import {
  bundleProfile,
  EVEN_APART_MM,
  measure,
  openedMmOf,
  openedThings,
  thickLying,
  thickSplice,
  wholeOf,
  type Asked,
} from '../layout/index.ts';
import { methodById } from '../family/index.ts';
import type { LayoutKind } from '../practice/index.ts';
import { figure } from '../units/index.ts';
import type { LaidRun } from './joined.ts';
import { isOffered, type LayoutOffer, type NoOffer } from './layoutTypes.ts';
import type { Decided } from './types.ts';

/** To unwrap and tape again, minutes for 100 mm; to cut an insert, minutes each. */
const MINUTES_PER_100_MM = 1.5;
const MINUTES_AN_INSERT = 0.5;
/** Even is proposed where Wide opens more than so many times what Short does, and more than so much, mm. */
const OPENS_TIMES = 1.5;
const OPENS_MORE_MM = 400;

/** Minutes at the bench for what a layout makes on a run. @param openedMm what is unwrapped and taped again */
function minutesFor({ run, laid, two }: LaidRun, openedMm: number, decided: ReadonlyMap<string, Decided>): number {
  const byId = new Map(run.items.map((item) => [item.findingId, item]));
  const work = laid.items.reduce((sum, { findingId, splices, insertMm }) => {
    const one = splices.length === 2 ? (two.get(findingId) ?? decided.get(findingId)) : decided.get(findingId);
    const method = one?.decision.method;
    const each = method ? methodById(method.methodId).minutes : 0;
    const isHere = byId.get(findingId)?.half?.runId === undefined;
    return sum + each * splices.length + (insertMm !== undefined && isHere ? MINUTES_AN_INSERT : 0);
  }, 0);
  return work + (MINUTES_PER_100_MM * openedMm) / 100;
}

/** Why a layout cannot be had; whether that is certain. */
function whyNot({ kind, apartMm = EVEN_APART_MM }: Asked, { run, laid }: LaidRun): string {
  const found = laid.open === 'barred' ? 'was found' : 'is possible';
  if (kind === 'short')
    return `No layout with two bodies over one place at most, no thicker there than ${figure(run.twoAtMostMm ?? 0, 1)} mm, ${found}.`;
  const pinned = laid.items.flatMap(({ splices }) => splices).filter(({ pinned: stays }) => stays);
  const fixed = [...pinned, ...(run.lying ?? []).filter((one) => one.kind === 'splice')];
  const isNear = pinned.some((pin) =>
    fixed.some(
      (other) => other !== pin && pin.fromMm < other.toMm + apartMm - 1e-6 && other.fromMm - apartMm + 1e-6 < pin.toMm,
    ),
  );
  return isNear
    ? `A splice that stays where it is lies nearer than ${figure(apartMm)} mm to another one.`
    : `No layout with one body over a place and ${figure(apartMm)} mm between them ${found}.`;
}

/** Whether a layout does what its kind does not allow; what any layout of the run does is no fault of this one. */
const isAgainstItsKind = ({ run, laid }: LaidRun): boolean =>
  laid.objective.barred > measure({ ...run, kind: undefined }, laid.items).barred;

/** A layout as it is offered. */
export function offerOf(asked: Asked, one: LaidRun, decided: ReadonlyMap<string, Decided>): LayoutOffer | NoOffer {
  const { run, laid } = one;
  if (asked.kind !== 'wide' && isAgainstItsKind(one))
    return { ...asked, why: whyNot(asked, one), ...(laid.open === undefined ? {} : { open: laid.open }) };
  const splices = laid.items.flatMap((item) => item.splices);
  const things = openedThings(run, laid.items);
  const openedMm = openedMmOf(things);
  const profile = bundleProfile(run.lengthMm, run.wires ?? [], [
    ...splices.map(thickSplice),
    ...(run.lying ?? []).map(thickLying),
  ]);
  const peakMm = Math.max(0, ...profile.map(({ diameterMm }) => diameterMm));
  return {
    ...asked,
    opened: wholeOf(things),
    openedMm,
    insertedMm: run.items.some(({ half }) => half)
      ? undefined
      : laid.items.reduce((sum, { insertMm = 0 }) => sum + insertMm, 0),
    splices: splices.length,
    peakMm,
    conduitMm: conduitFor(peakMm),
    minutes: minutesFor(one, openedMm, decided),
    bodies: splices.map(({ fromMm, toMm }) => ({ fromMm, toMm })),
    reached: { objective: laid.objective, bound: laid.bound, open: laid.open },
  };
}

/**
 * Which layout is proposed: Wide, as makers print it; but Even where Wide opens more than 1.5 times what Short does, and
 * more than 400 mm.
 */
export function proposal(offers: readonly (LayoutOffer | NoOffer)[]): {
  readonly kind: LayoutKind;
  readonly because: string;
} {
  const opens = (kind: LayoutKind): number | undefined => {
    const offer = offers.find((one) => one.kind === kind);
    return offer && isOffered(offer) ? offer.reached.objective.openedMm : undefined;
  };
  const [wideMm = 0, evenMm, shortMm] = [opens('wide'), opens('even'), opens('short')];
  const even = offers.find((one) => one.kind === 'even');
  const noEven =
    even && !isOffered(even) && even.open === undefined ? 'Even is not possible here' : 'no Even layout was found';
  const words = (mm: number): string => `${Math.round(mm)} mm`;
  if (shortMm === undefined)
    return {
      kind: 'wide',
      because: 'Wide: bodies as far apart as makers print. A short layout is not possible here.',
    };
  const isLong = wideMm > OPENS_TIMES * shortMm && wideMm > OPENS_MORE_MM;
  if (isLong && evenMm !== undefined)
    return {
      kind: 'even',
      because: `Even: Wide would open ${words(wideMm)}, more than ${OPENS_TIMES} times the ${words(shortMm)} of Short.`,
    };
  if (isLong)
    return {
      kind: 'wide',
      because: `Wide, though it opens ${words(wideMm)} and Short ${words(shortMm)}: ${noEven}.`,
    };
  return {
    kind: 'wide',
    because:
      wideMm > OPENS_MORE_MM
        ? `Wide: bodies as far apart as makers print, and it opens ${words(wideMm)}, at most ${OPENS_TIMES} times the ${words(shortMm)} of Short.`
        : `Wide: bodies as far apart as makers print, and it opens no more than ${OPENS_MORE_MM} mm.`,
  };
}
