import { isAtCavity } from '../damage/index.ts';
import { methodById } from '../family/index.ts';
import type { Job } from '../job/index.ts';
import { redoTakesMm } from '../method/index.ts';
import { slackOf, type FindingPlan, type Plan } from '../plan/index.ts';
import { reachCostMm, REDO_EXTRA_MM } from '../sizing/index.ts';
import { figure } from '../units/index.ts';
import { mishapInWords } from './kinds.ts';

/** Something that has drawn on a wire's slack, mm. */
export interface LedgerLine {
  readonly findingId: string;
  readonly what: 'lost' | 'lap' | 'terminal' | 'mishap' | 'cutBack';
  readonly words: string;
  readonly mm: number;
}

/** The account of a wire's slack between its fixed points: measured, drawn, left. Lengths in mm. */
export interface SlackLedger {
  readonly measuredMm: number;
  /** Somebody has measured it; else it counts as none. */
  readonly known: boolean;
  readonly lines: readonly LedgerLine[];
  readonly leftMm: number;
  /** What the work that the account is read for draws it for. */
  readonly drawnFor: 'splice' | 'terminal' | 'newWire' | 'nothing';
  /** What one redo after shrinking takes, and one end that is stripped again. */
  readonly redoMm?: number | undefined;
  readonly stripAgainMm?: number | undefined;
  /** Of what is left, what is kept for one redo. */
  readonly keptMm: number;
}

const GRACE_MM = 1e-6;

/** The one splice of a finding that draws on slack: the wire is cut, and nothing is put in. */
const drawingSplice = ({ approach, splices }: FindingPlan) =>
  splices.find(
    ({ side, methodId }) => approach === 'oneSplice' && side === 'only' && methodById(methodId).leavesWhole !== true,
  );

/** Lines of one finding's single splice: what was lost, its lap, each mishap, and what was cut back beyond them. */
function spliceLines(finding: FindingPlan, { redos }: Job): LedgerLine[] {
  const splice = drawingSplice(finding);
  if (!splice) return [];
  const { findingId, x1Mm, x2Mm, lost } = finding;
  const own = redos.filter((redo) => redo.findingId === findingId);
  const taken = (redo: (typeof own)[number]): number => (redo.mishap ? redo.mishap.leftMm + redo.mishap.rightMm : 0);
  const [first] = own;
  const lostMm = first ? first.lostToMm - first.lostFromMm - taken(first) : lost.toMm - lost.fromMm;
  const mishaps = own.map((redo): LedgerLine => ({
    findingId,
    what: 'mishap',
    words: redo.mishap ? mishapInWords(redo.mishap.kind) : redo.because,
    mm: taken(redo),
  }));
  const cutBackMm = x2Mm - x1Mm - lostMm - mishaps.reduce((sum, { mm }) => sum + mm, 0);
  const lapMm = reachCostMm(splice.joint.reach);
  return [
    { findingId, what: 'lost', words: 'Lost, with its cut-back', mm: lostMm },
    ...(lapMm > 0 ? [{ findingId, what: 'lap', words: 'Lap of the joint', mm: lapMm } as const] : []),
    ...mishaps,
    ...(Math.abs(cutBackMm) > GRACE_MM
      ? [{ findingId, what: 'cutBack', words: 'Cut back further for room', mm: cutBackMm } as const]
      : []),
  ];
}

/** Lines of a new terminal: its strip with what is lost, and each mishap. */
function terminalLines(finding: FindingPlan, { redos }: Job): LedgerLine[] {
  const { findingId, slackMm, slackLeftMm } = finding;
  const mishaps = redos
    .filter((redo) => redo.findingId === findingId && redo.mishap?.tailMm !== undefined)
    .map(({ mishap }): LedgerLine => ({
      findingId,
      what: 'mishap',
      words: mishap ? mishapInWords(mishap.kind) : '',
      mm: mishap?.tailMm ?? 0,
    }));
  const ownMm = slackMm - slackLeftMm - mishaps.reduce((sum, { mm }) => sum + mm, 0);
  return [{ findingId, what: 'terminal', words: 'Strip of the new terminal, and what is lost', mm: ownMm }, ...mishaps];
}

const linesOf = (finding: FindingPlan, job: Job): LedgerLine[] =>
  finding.approach === 'newTerminal' ? terminalLines(finding, job) : spliceLines(finding, job);

function drawnFor(finding: FindingPlan): SlackLedger['drawnFor'] {
  if (finding.approach === 'newTerminal') return 'terminal';
  if (drawingSplice(finding)) return 'splice';
  return finding.insert ? 'newWire' : 'nothing';
}

/** What a redo of this work takes, and an end that is stripped again; nothing where it draws on no slack. */
function sizesOf(finding: FindingPlan): Pick<SlackLedger, 'redoMm' | 'stripAgainMm'> {
  const splice = drawingSplice(finding);
  if (splice) {
    const { left, right } = splice.joint;
    return {
      redoMm: redoTakesMm(splice.joint),
      stripAgainMm: Math.max(left.stripMm, right.stripMm) + REDO_EXTRA_MM,
    };
  }
  const terminal = finding.approach === 'newTerminal' ? finding.cavity?.work.terminal : undefined;
  return terminal ? { redoMm: terminal.stripMm + REDO_EXTRA_MM, stripAgainMm: terminal.stripMm + REDO_EXTRA_MM } : {};
}

/**
 * The account of the wire that a finding lies on, as its own work sees it. All findings of one circuit on one run draw
 * on one amount; a terminal's tail has its own where somebody measured it.
 */
export function slackLedger(job: Job, plan: Plan, finding: FindingPlan): SlackLedger {
  const found = job.findings.find(({ id }) => id === finding.findingId);
  const onWire = job.findings.filter(
    ({ circuitId, runId }) => circuitId === finding.circuitId && runId === finding.runId,
  );
  const ownTail = found !== undefined && isAtCavity(found) && found.slackMm !== undefined;
  const slack = ownTail ? { mm: finding.slackMm, known: true } : slackOf(onWire);
  const ids = new Set(ownTail ? [finding.findingId] : onWire.map(({ id }) => id));
  const lines = plan.findings.filter(({ findingId }) => ids.has(findingId)).flatMap((one) => linesOf(one, job));
  const leftMm = Math.max(0, slack.mm - lines.reduce((sum, { mm }) => sum + mm, 0));
  const sizes = sizesOf(finding);
  return {
    measuredMm: slack.mm,
    known: slack.known,
    lines,
    leftMm,
    drawnFor: drawnFor(finding),
    ...sizes,
    keptMm: Math.min(leftMm, sizes.redoMm ?? 0),
  };
}

const times = (count: number, one: string, more: string): string =>
  count === 1 ? `Enough for one ${one}` : `Enough for ${count} ${more}`;

/** What the account comes to, as it is said at the bench. */
export function ledgerInWords({ drawnFor: what, leftMm, redoMm, stripAgainMm, known }: SlackLedger): string {
  if (what === 'nothing') return 'No slack is drawn on: the wire is not cut.';
  if (what === 'newWire') return 'New wire goes in, so no slack is drawn on: a mishap costs new wire.';
  const left =
    leftMm >= 0.5 ? `${figure(leftMm, 0)} mm left` : known ? 'None left' : 'Nobody has measured it: none left';
  const then = what === 'splice' ? 'the next mishap means an insert' : 'the next mishap means a new lead';
  const redos = redoMm === undefined || redoMm <= 0 ? 0 : Math.floor((leftMm + GRACE_MM) / redoMm);
  if (redos > 0)
    return what === 'splice'
      ? `${times(redos, 'redo', 'redos')}.`
      : `${times(redos, 'more terminal', 'more terminals')}.`;
  if (what === 'splice' && stripAgainMm !== undefined && leftMm + GRACE_MM >= stripAgainMm)
    return `${left}: enough to strip one end again, not for a redo.`;
  return `${left}: ${then}.`;
}
