import type { CavityFinding, Stretch } from '../../damage/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import { alsoLost } from '../copper.ts';
import type { Ask } from '../askTypes.ts';
import type { DecideInput, Decision, Electrical, RankedWay } from '../types.ts';
import type { Redo } from '../redoTypes.ts';
import { startsAt } from './lead.ts';
import { cavityWork, WAY_WORDS, type WorkOf } from './work.ts';

/** A finding at a cavity, the connector there, and what the wire carries. */
export interface At {
  readonly input: DecideInput;
  readonly finding: CavityFinding;
  readonly node: HarnessNode | undefined;
  readonly electrical: Electrical;
}

/** What is done at the cavity by a way. */
export const work = (
  { finding, node, input }: At,
  way: RankedWay,
  more: Pick<WorkOf, 'acts'> & Partial<WorkOf>,
): Decision['cavity'] =>
  cavityWork({ name: WAY_WORDS[way.way], at: finding.at, node, wire: input.circuit.wire, ...more });

/** What is lost of the wire at its cavity: cut back, and what redos of a joint beyond it have taken since. */
export function lostAt({ finding, input }: At): Stretch {
  const { lengthMm } = input.run;
  const cut = finding.cutBackLeftMm + finding.cutBackRightMm;
  const redo = redosOf(input, finding).at(-1);
  const also = alsoLost(input);
  return startsAt(input, finding.at.nodeId)
    ? { fromMm: 0, toMm: Math.max(cut, redo?.lostToMm ?? 0, ...also.map((one) => one.toMm)) }
    : {
        fromMm: Math.min(lengthMm - cut, redo?.lostFromMm ?? lengthMm, ...also.map((one) => one.fromMm)),
        toMm: lengthMm,
      };
}

/** What redos of a joint beyond the cavity have taken since. */
export const redosOf = (input: DecideInput, finding: CavityFinding): readonly Redo[] =>
  input.redos.filter((redo) => redo.findingId === finding.id);

/** What is asked of a connector is asked once: on the first finding there. */
export const onceThere = ({ finding, input }: At, asks: readonly Ask[]): readonly Ask[] =>
  (input.foundAt(finding.at.nodeId)[0]?.id ?? finding.id) === finding.id ? asks : [];
