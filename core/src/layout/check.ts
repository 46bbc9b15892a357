import type { KeepOut } from '../harness/index.ts';
import type { LayoutKind } from '../practice/index.ts';
import { figure } from '../units/index.ts';
import { apartOf } from './kinds.ts';
import type { Stretch } from '../damage/index.ts';
import type { LyingBody, PlacedSplice } from './types.ts';

/** A rule of the layout that a splice breaks or a wish that it could not meet. */
export interface BrokenRule {
  readonly ruleId:
    | 'layout.keepOut'
    | 'layout.overlap'
    | 'layout.close'
    | 'layout.nearConnector'
    | 'layout.pairLength'
    | 'layout.untwisted';
  readonly strength: 'never' | 'avoid' | 'wish';
  readonly spliceIds: readonly string[];
  readonly because: string;
}

/** A body as what lies beside it is said: of what is on the wires already, without a splice's name. */
interface Beside extends Stretch {
  readonly name: string;
  readonly ids: readonly string[];
}
const isNew = ({ ids }: Beside): boolean => ids.length > 0;
/** Two bodies by their names, the one of this job first. */
const pairOf = (a: Beside, b: Beside): string => (isNew(a) ? `${a.name} and ${b.name}` : `${b.name} and ${a.name}`);

/**
 * What the placed splices of one run break: keep-outs (never), overlaps and short distances (avoid), room at connectors
 * (wish); by what the layout asks that is taken.
 * @param lying what is on the wires already, which counts beside new splices, never among itself
 */
export function brokenRules(
  splices: readonly PlacedSplice[],
  keepOuts: readonly KeepOut[],
  limits: {
    readonly betweenBodiesMm: number;
    readonly preferFromConnectorMm: number;
    readonly connectorClearMm: number;
    readonly kind?: LayoutKind | undefined;
    readonly apartMm?: number | undefined;
  },
  nameOf: (splice: PlacedSplice) => string,
  lying: readonly LyingBody[] = [],
): BrokenRule[] {
  const broken: BrokenRule[] = [];
  for (const splice of splices) {
    for (const keep of keepOuts) {
      if (splice.fromMm < keep.toMm - 1e-6 && keep.fromMm + 1e-6 < splice.toMm) {
        broken.push({
          ruleId: 'layout.keepOut',
          strength: 'never',
          spliceIds: [splice.id],
          because: `${nameOf(splice)} reaches into the space kept at ${keep.name}.`,
        });
      }
      const beyond = limits.preferFromConnectorMm - limits.connectorClearMm;
      if (
        keep.kind === 'connector' &&
        splice.fromMm < keep.toMm + beyond - 1e-6 &&
        keep.fromMm - beyond + 1e-6 < splice.toMm
      ) {
        broken.push({
          ruleId: 'layout.nearConnector',
          strength: 'wish',
          spliceIds: [splice.id],
          because: `${nameOf(splice)} lies within ${limits.preferFromConnectorMm} mm of ${keep.name.replace(/ back$/, '')}: little room to work.`,
        });
      }
    }
  }
  // What the layout that is taken allows is no rule broken: an even one less distance, a short one two together.
  const apartMm = limits.kind === undefined ? limits.betweenBodiesMm : apartOf(limits);
  const bodies: Beside[] = [
    ...splices.map((splice) => ({ ...splice, name: nameOf(splice), ids: [splice.id] })),
    ...lying.flatMap(({ kind, fromMm, toMm, words }) =>
      kind === 'splice'
        ? [{ fromMm, toMm, name: `an earlier splice at ${Math.round((fromMm + toMm) / 2)} (${words})`, ids: [] }]
        : [],
    ),
  ].sort((a, b) => a.fromMm - b.fromMm);
  let reaching: Beside[] = [];
  const farthest: { any?: Beside; ofNew?: Beside } = {};
  for (const body of bodies) {
    reaching = reaching.filter((one) => one.toMm > body.fromMm + 1e-6);
    // What is on the wires already counts beside what is new, never among itself.
    const last = isNew(body) ? farthest.any : farthest.ofNew;
    const besideIt = reaching.filter((one) => isNew(one) || isNew(body));
    const isTwo = limits.kind === 'short' && reaching.length === 1;
    for (const other of besideIt)
      broken.push({
        ruleId: 'layout.overlap',
        strength: isTwo ? 'wish' : 'avoid',
        spliceIds: [...other.ids, ...body.ids],
        because: `${pairOf(other, body)} lie side by side${isTwo ? ', as a short layout lets two.' : ': a lump.'}`,
      });
    const clear = last ? body.fromMm - last.toMm : Infinity;
    if (last && clear > -1e-6 && clear < apartMm - 1e-6)
      broken.push({
        ruleId: 'layout.close',
        strength: 'avoid',
        spliceIds: [...last.ids, ...body.ids],
        because: `${pairOf(last, body)} are ${figure(clear, 1)} mm apart (${figure(apartMm)} wanted).`,
      });
    reaching.push(body);
    if (!farthest.any || body.toMm > farthest.any.toMm) farthest.any = body;
    if (isNew(body) && (!farthest.ofNew || body.toMm > farthest.ofNew.toMm)) farthest.ofNew = body;
  }
  return broken;
}
