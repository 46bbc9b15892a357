import type { CircuitKind } from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';
import type { Base } from './base.ts';
import type { Own, OwnFields } from './own.ts';

/** The wire that is damaged, and how hot its place gets, °C. */
export interface DamagedWire {
  readonly wire: WireSpec;
  readonly circuitKind: CircuitKind;
  readonly placeC: number;
  readonly fuseA?: number | undefined;
  /** What the copper that is left at the spot may carry in its bundle, A; where some of it is lost. */
  readonly leftA?: number | undefined;
}

/** A problem with a field of a kind's own. */
interface OwnProblem {
  readonly code: string;
  readonly field: string;
  readonly message: string;
  readonly hint: string;
}

interface AnyKind<K extends string, F extends OwnFields> {
  readonly kind: K;
  readonly words: string;
  /** What exactly is seen, where there are several sorts: how each is said. */
  readonly sorts?: Readonly<Record<string, string>>;
  readonly own: F;
  /** What of a finding is said besides its kind and sort: "by 160 mm". */
  detail?(finding: Base & Own<F>): string | undefined;
  /** What is wrong with its own fields together. */
  problem?(finding: Base & Own<F>): OwnProblem | undefined;
  /** The cause that has to be found and noted before it is mended: how it is asked. */
  asks?(finding: Base & Own<F>): string | undefined;
}

/** Damage that lies along a wire. */
export interface RunKind<K extends string = string, F extends OwnFields = OwnFields> extends AnyKind<K, F> {
  readonly where: 'run';
  /**
   * What it leaves of the copper at its place: all of it under a jacket that is through, some strands, none; or nothing
   * is damaged and a wire is joined on.
   */
  readonly leaves: 'copper' | 'strands' | 'nothing' | 'wire';
  /** Share of the copper that is left, where some strands are. */
  share?(finding: Base & Own<F>): number;
  /** Why it is cut out, where that is more than its name. */
  whyCut?(finding: Base & Own<F>, at: DamagedWire): string;
  /** It may be covered all the same, offered second. */
  mayBeCovered?(finding: Base & Own<F>, at: DamagedWire): boolean;
  /**
   * What is read once more before it is cut, where its stretch is longer than the slack. @param slackMm mm; unknown
   * where nobody measured it
   */
  readsAgain?(finding: Base & Own<F>, slackMm: number | undefined): string | undefined;
  /** What it warns of. */
  warnings?(finding: Base & Own<F>, at: DamagedWire): readonly string[];
}

/** How damage at a cavity may be mended; `rehouseAll` with new terminals as well. */
export type CavityWay =
  | 'newTerminal'
  | 'relead'
  | 'pigtail'
  | 'rehouse'
  | 'rehouseAll'
  | 'refit'
  | 'correct'
  | 'solderToPin'
  | 'solderedLead'
  | 'otherCavity'
  | 'extend';

/**
 * Damage at a cavity: of a terminal, of a seal or lock piece, of the housing for the circuits in it, or of the wire
 * right at it.
 */
export interface CavityKind<K extends string = string, F extends OwnFields = OwnFields> extends AnyKind<K, F> {
  readonly where: 'cavity';
  /**
   * It is of the housing, and so noted for every circuit in it at once; `all` where what mends it mends it for all of
   * them.
   */
  readonly ofHousing?: 'each' | 'all';
  /** Wire may be lost behind the terminal. */
  readonly losesBehind?: boolean;
  /** No wire is lost: some is added. */
  readonly addsWire?: boolean;
  /** The end of a jacketed cable is made anew with it: jacket back, spare cores ended, a sleeve over jacket and cap. */
  readonly endsCable?: boolean;
  /** The wires lie on a new route afterwards. */
  readonly newRoute?: boolean;
  /** It mends one cavity after all, as this finding has it. */
  ofOneCavity?(finding: Base & Own<F>): boolean;
  /** The ways that may mend it, in the order in which a master tries them. */
  ways(finding: Base & Own<F>): readonly CavityWay[];
  /** What goes back in, where that is all that it takes. */
  putsBack?(finding: Base & Own<F>): 'lockPiece' | 'plug' | 'wireSeal' | 'housingSeal';
  /** What it warns of. */
  warns?(finding: Base & Own<F>): string;
  /** Heat did it: the hottest circuit of the connector is named. */
  isFromHeat?(finding: Base & Own<F>): boolean;
}

// No field of its own is known of any kind: what reads a finding by its kind reads what all findings have.
// eslint-disable-next-line @typescript-eslint/no-generated-empty-object-type
type NoFields = Readonly<Record<never, never>>;
/** Any kind along a wire, whatever fields it has of its own. */
export type AnyRunKind = Omit<RunKind<string, NoFields>, 'own'> & { readonly own: OwnFields };
/** Any kind at a cavity, whatever fields it has of its own. */
export type AnyCavityKind = Omit<CavityKind<string, NoFields>, 'own'> & { readonly own: OwnFields };

/** Names a kind along a wire once, so that findings and lists know it. */
export const runKind = <const K extends string, const F extends OwnFields>(
  of: Omit<RunKind<K, F>, 'where'>,
): RunKind<K, F> => ({ ...of, where: 'run' });
/** Names a kind at a cavity once, so that findings and lists know it. */
export const cavityKind = <const K extends string, const F extends OwnFields>(
  of: Omit<CavityKind<K, F>, 'where'>,
): CavityKind<K, F> => ({ ...of, where: 'cavity' });
