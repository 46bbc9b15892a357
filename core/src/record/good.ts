import type { EarlierRepair, Finding, Stretch } from '../damage/index.ts';
import type { SpliceRecord } from './types.ts';

/** A temporary repair: its record, and where it lies on its wire by now; nowhere for work at a cavity. */
export interface Temporary {
  readonly recordId: string;
  readonly body: Pick<SpliceRecord, 'method' | 'jobNumber' | 'temporaryUntil' | 'onWire'>;
  readonly onWire?: EarlierRepair | undefined;
}

/** What the finding of a repair has that was for that time only. */
const forThatTime = {
  temporaryUntil: undefined,
  reportedAs: undefined,
  note: undefined,
  insertWire: undefined,
  slackMm: undefined,
} as const;

/** What lay under a cover then, where the cover lies by now. */
const movedAlong = ({ body, onWire }: Temporary, then: Finding): Partial<Stretch> & { readonly runId?: string } => {
  if (!onWire) return {};
  const byMm = onWire.fromMm - (body.onWire?.fromMm ?? onWire.fromMm);
  return { runId: onWire.runId, fromMm: then.fromMm + byMm, toMm: then.toMm + byMm };
};

/**
 * What is found where a temporary repair is made good: its splices, all that lies between them, to be cut out and made
 * anew; for a cover, and for work at a cavity, what was found then.
 * @param parts the splices, cover or work at a cavity of one repair, at least one
 * @param then what was found when it was made
 */
export function foundAgain(parts: readonly Temporary[], then: Finding): Finding {
  const [first] = parts;
  if (!first) throw new RangeError('There is no repair to make good.');
  const { method, jobNumber, temporaryUntil = '' } = first.body;
  const same = {
    id: 'F1',
    makesGood: parts.map(({ recordId }) => recordId),
    note: `Temporary until ${temporaryUntil}: ${method}, job ${jobNumber}.`,
  };
  const splices = parts.flatMap(({ onWire }) => (onWire?.kind === 'splice' ? [onWire] : []));
  const [splice] = splices;
  if (!splice) {
    const cover = parts.find(({ onWire }) => onWire?.kind === 'cover');
    return { ...then, ...forThatTime, ...(cover && movedAlong(cover, then)), ...same };
  }
  const here = splices.filter(({ runId }) => runId === splice.runId);
  return {
    ...same,
    kind: 'poorRepair',
    circuitId: splice.circuitId,
    runId: splice.runId,
    fromMm: Math.min(...here.map(({ fromMm }) => fromMm)),
    toMm: Math.max(...here.map(({ toMm }) => toMm)),
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
  };
}
