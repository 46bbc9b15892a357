import { figure } from '../units/index.ts';
import { methodById, type SizedJoint } from '../family/index.ts';
import type { RankedMethod, RuleHit } from './types.ts';

/** One figure of two methods side by side; empty where a method has none. */
export interface ComparedFigure {
  readonly name: string;
  readonly a: string;
  readonly b: string;
}

/** What would have to change before a method that is refused or lacks something might be used. */
export interface WouldNeed {
  readonly ruleId: string;
  readonly words: string;
  /** A refusal that nothing but the place itself lifts. */
  readonly hard: boolean;
}

/** Two methods held against each other. */
export interface Comparison {
  readonly figures: readonly ComparedFigure[];
  /** Every rule that spoke about either, with what it said of each. */
  readonly rules: readonly {
    readonly ruleId: string;
    readonly a?: RuleHit | undefined;
    readonly b?: RuleHit | undefined;
  }[];
  readonly aNeeds: readonly WouldNeed[];
  readonly bNeeds: readonly WouldNeed[];
}

const mm = (value: number | undefined, digits = 1): string =>
  value === undefined ? '' : `${figure(value, digits)} mm`;
const sealWords = (joint: SizedJoint | undefined): string => {
  if (!joint) return '';
  switch (joint.seal.kind) {
    case 'builtIn':
      return 'built in';
    case 'sleeve':
      return `${joint.seal.name}, cut ${figure(joint.seal.cutMm, 0)} mm`;
    case 'wrap':
      return `${joint.seal.name}, ${figure(joint.seal.lengthMm, 0)} mm`;
    case 'none':
      return 'none';
  }
};

const lapOf = (joint: SizedJoint | undefined): string =>
  joint === undefined ? '' : joint.reach.kind === 'butt' || joint.reach.lapMm === 0 ? 'none' : mm(joint.reach.lapMm);

/** What keeps a method from being used as it stands, as things that could change. */
export const wouldNeed = (method: RankedMethod): WouldNeed[] =>
  method.hits
    .filter((hit) => hit.verdict === 'refuse' || hit.verdict === 'shelf')
    .map((hit) => ({
      ruleId: hit.ruleId,
      hard: !hit.overridable,
      words: hit.allowedIf === undefined ? `Nothing would allow it: ${hit.because}` : `Allowed if ${hit.allowedIf}.`,
    }));

/**
 * Holds two ranked methods of one site against each other: figures, rules, and what would have to change for either.
 */
export function compareMethods(a: RankedMethod, b: RankedMethod): Comparison {
  const [ja, jb] = [a.joints[0], b.joints[0]];
  const [ma, mb] = [methodById(a.methodId), methodById(b.methodId)];
  const row = (name: string, of: (method: RankedMethod, joint: SizedJoint | undefined) => string): ComparedFigure => ({
    name,
    a: of(a, ja),
    b: of(b, jb),
  });
  const figures: ComparedFigure[] = [
    row('Splices', (method) => (method.joints.length > 0 ? String(method.splices) : '')),
    row('Part', (_method, joint) => joint?.partName ?? ''),
    row('Fits', (_method, joint) => joint?.fitsWords ?? ''),
    row('Strip', (_method, joint) =>
      joint
        ? (joint.left.stripMm === joint.right.stripMm
            ? mm(joint.left.stripMm)
            : `${figure(joint.left.stripMm, 1)} and ${mm(joint.right.stripMm)}`) +
          (joint.left.folded || joint.right.folded ? ', folded' : '')
        : '',
    ),
    row('Wire taken by the lap', (_method, joint) => lapOf(joint)),
    row('Body', (_method, joint) =>
      joint ? `${figure(joint.bodyLengthMm, 0)} long, ${figure(joint.bodyDiameterMm, 1)} thick` : '',
    ),
    row('Seal', (_method, joint) => sealWords(joint)),
    row('Rated', (_method, joint) => (joint ? `${Math.min(...joint.rated.map((one) => one.ratedC))} °C` : '')),
    { name: 'Steps', a: String(ma.steps), b: String(mb.steps) },
    { name: 'Minutes a splice', a: String(ma.minutes), b: String(mb.minutes) },
    row('Tools', (method) => method.toolNames.join(', ')),
  ];
  const ids = [...new Set([...a.hits, ...b.hits].filter((hit) => hit.verdict !== 'prefer').map((hit) => hit.ruleId))];
  return {
    figures,
    rules: ids.map((ruleId) => ({
      ruleId,
      a: a.hits.find((hit) => hit.ruleId === ruleId),
      b: b.hits.find((hit) => hit.ruleId === ruleId),
    })),
    aNeeds: wouldNeed(a),
    bNeeds: wouldNeed(b),
  };
}
