import type { KeepOut } from '../harness/index.ts';
import { figure } from '../units/index.ts';
import type { PlacedSplice } from './types.ts';

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

/**
 * What the placed splices of one run break: keep-outs (never), overlaps and short distances (avoid), room at connectors
 * (wish).
 */
export function brokenRules(
  splices: readonly PlacedSplice[],
  keepOuts: readonly KeepOut[],
  limits: {
    readonly betweenBodiesMm: number;
    readonly preferFromConnectorMm: number;
    readonly connectorClearMm: number;
  },
  nameOf: (splice: PlacedSplice) => string,
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
  const sorted = [...splices].sort((a, b) => a.fromMm - b.fromMm);
  sorted.forEach((splice, index) => {
    const reach = sorted.slice(0, index).filter((other) => other.toMm > splice.fromMm + 1e-6);
    for (const other of reach) {
      broken.push({
        ruleId: 'layout.overlap',
        strength: 'avoid',
        spliceIds: [other.id, splice.id],
        because: `${nameOf(other)} and ${nameOf(splice)} lie side by side: a lump.`,
      });
    }
    const before = sorted
      .slice(0, index)
      .reduce<PlacedSplice | undefined>((last, other) => (!last || other.toMm > last.toMm ? other : last), undefined);
    const clear = before ? splice.fromMm - before.toMm : Infinity;
    if (before && clear > -1e-6 && clear < limits.betweenBodiesMm - 1e-6) {
      broken.push({
        ruleId: 'layout.close',
        strength: 'avoid',
        spliceIds: [before.id, splice.id],
        because: `${nameOf(before)} and ${nameOf(splice)} are ${figure(clear, 1)} mm apart (${limits.betweenBodiesMm} wanted).`,
      });
    }
  });
  return broken;
}
