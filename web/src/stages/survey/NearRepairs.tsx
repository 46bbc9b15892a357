import {
  FAILURE_NAMES,
  FAILURES,
  failureInWords,
  repairsNear,
  withAnswer,
  type EarlierSeen,
  type Failure,
  type Finding,
} from '@mendum/core/damage';
import { useSave } from '../../app/change.ts';
import { useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';

/** What the answer is called in the list: a reason, that it failed for none that is known, or that it holds. */
const picked = (seen: EarlierSeen | undefined): string =>
  seen === undefined ? '' : seen.failed ? (seen.why ?? 'unknown') : 'holds';

const answerOf = (repairId: string, said: string): EarlierSeen =>
  said === 'holds'
    ? { repairId, failed: false }
    : { repairId, failed: true, ...(said === 'unknown' ? {} : { why: said as Failure }) };

/** That damage lies on an earlier repair, or near one; and whether that failed, which is asked here. */
export function NearRepairs({ finding }: { readonly finding: Finding }) {
  const { view, locked, nodeName } = useOpenJob();
  const { plain, unit } = useLength();
  const { save, busy } = useSave();
  return repairsNear(finding, view.job).map(({ repair, apartMm }) => {
    const { id, words } = repair;
    const seen = finding.earlierSeen?.find(({ repairId }) => repairId === id);
    const answer = (said: string): void =>
      void save('changeFinding', {
        jobId: view.id,
        findingId: finding.id,
        version: view.findingVersions[finding.id] ?? 1,
        finding: { ...finding, earlierSeen: withAnswer(finding.earlierSeen, answerOf(id, said)) },
      });
    return (
      <span key={id} className="block">
        <span className="block font-bold text-rework">
          ▲ {apartMm === 0 ? 'On an earlier repair' : `${plain(apartMm, 0)} ${unit} from an earlier repair`}: {words},
          at{' '}
          {'cavity' in repair
            ? `${nodeName(repair.nodeId)}, cavity ${repair.cavity}`
            : `${plain(repair.fromMm, 0)}–${plain(repair.toMm, 0)} ${unit}`}
        </span>
        {locked ? (
          seen && <span className="block">{seen.failed ? `It failed: ${failureInWords(seen.why)}` : 'It holds'}</span>
        ) : (
          <label className="flex flex-wrap items-center gap-x-2">
            Did it fail?
            <select
              className="min-h-11 max-w-56 rounded-sm border border-rule bg-sheet px-2"
              value={picked(seen)}
              disabled={busy}
              onClick={(event) => event.stopPropagation()}
              onChange={(event) => answer(event.target.value)}
            >
              {seen ? null : <option value="">Not said</option>}
              <option value="holds">No, it holds</option>
              {FAILURE_NAMES.map((why) => (
                <option key={why} value={why}>
                  Yes: {FAILURES[why]}
                </option>
              ))}
              <option value="unknown">Yes, {failureInWords(undefined)}</option>
            </select>
          </label>
        )}
      </span>
    );
  });
}
