import type { Cavity } from '../harness/index.ts';
import type { Base } from './base.ts';
import type { AnyCavityKind, AnyRunKind, CavityKind, RunKind } from './kind.ts';
import type { Own, OwnFields } from './own.ts';
import { CAVITY_KINDS, RUN_KINDS } from './kinds/index.ts';

type OneRunKind = (typeof RUN_KINDS)[number];
type OneCavityKind = (typeof CAVITY_KINDS)[number];
export type RunFindingKind = OneRunKind['kind'];
export type CavityFindingKind = OneCavityKind['kind'];
export type FindingKind = RunFindingKind | CavityFindingKind;

const kindsOf = <K extends string>(list: readonly { readonly kind: K }[]): readonly K[] => list.map(({ kind }) => kind);
/** Damage that lies along a wire; damage at a cavity; both. */
export const RUN_FINDING_KINDS: readonly RunFindingKind[] = kindsOf<RunFindingKind>(RUN_KINDS);
export const CAVITY_FINDING_KINDS: readonly CavityFindingKind[] = kindsOf<CavityFindingKind>(CAVITY_KINDS);
export const FINDING_KINDS: readonly FindingKind[] = [...RUN_FINDING_KINDS, ...CAVITY_FINDING_KINDS];

type OnRun<D> = D extends RunKind<infer K, infer F> ? Base & { readonly kind: K } & Own<F> : never;
type AtCavity<D> =
  D extends CavityKind<infer K, infer F> ? Base & { readonly kind: K; readonly at: Cavity } & Own<F> : never;

/** What was found along one wire. */
export type RunFinding = OnRun<OneRunKind>;
/** What was found at a cavity: it names it in `at`, and lies at that end of its run. */
export type CavityFinding = AtCavity<OneCavityKind>;
/** What was found on one wire at one place. */
export type Finding = RunFinding | CavityFinding;
export type FindingOf<K extends FindingKind> = Extract<Finding, { readonly kind: K }>;

const RUN_BY_KIND = new Map<string, AnyRunKind>(RUN_KINDS.map((one) => [one.kind, one]));
const CAVITY_BY_KIND = new Map<string, AnyCavityKind>(CAVITY_KINDS.map((one) => [one.kind, one]));

function found<T>(map: ReadonlyMap<string, T>, kind: string): T {
  const one = map.get(kind);
  if (!one) throw new RangeError(`There is no damage "${kind}" here: use ${[...map.keys()].join(', ')}.`);
  return one;
}

/** All that is to be said of a kind along a wire. @throws RangeError on one at a cavity */
export const runKindOf = (kind: RunFindingKind): AnyRunKind => found(RUN_BY_KIND, kind);
/** All that is to be said of a kind at a cavity. @throws RangeError on one along a wire */
export const cavityKindOf = (kind: CavityFindingKind): AnyCavityKind => found(CAVITY_BY_KIND, kind);
export const isCavityKind = (kind: FindingKind): kind is CavityFindingKind => CAVITY_BY_KIND.has(kind);
export const isAtCavity = (finding: Finding): finding is CavityFinding => isCavityKind(finding.kind);
/** All that is to be said of any kind. */
export const damageOf = (kind: FindingKind): AnyRunKind | AnyCavityKind =>
  isCavityKind(kind) ? cavityKindOf(kind) : runKindOf(kind);

/** The fields that kinds have of their own, by the kind. */
export const ownFieldsOf = (kind: FindingKind): OwnFields => damageOf(kind).own;
