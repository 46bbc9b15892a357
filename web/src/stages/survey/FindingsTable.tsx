import clsx from 'clsx';
import { ClipboardList, Pencil, Trash2 } from 'lucide-react';
import { findingInWords, isAtCavity, lostStretch, notedInWords, type Finding } from '@mendum/core/damage';
import { colourInWords } from '@mendum/core/wire';
import { DamagePicture } from '../../draw/DamageMark.tsx';
import { WireChip } from '../../shapes/WireLine.tsx';
import { Figure, useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';
import { NearRepairs } from './NearRepairs.tsx';
import { Photos } from './Photos.tsx';
import { Scroller } from '../../ui/scroller.tsx';

interface FindingsTableProps {
  readonly onEdit: (finding: Finding) => void;
  readonly onRemove: (finding: Finding) => void;
  readonly onLeave: (finding: Finding) => void;
}

const KEY = 'inline-flex size-11 items-center justify-center rounded-sm hover:bg-wash';

/** Everything found, a line each: circuit, picture and words, place, loss and slack. */
export function FindingsTable({ onEdit, onRemove, onLeave }: FindingsTableProps) {
  const { view, nodeName, circuitOf, selected, select, locked, canProve } = useOpenJob();
  const isEnd = (nodeId: string): boolean =>
    view.job.harness.nodes.find(({ id }) => id === nodeId)?.kind !== 'connector';
  const { plain, unit } = useLength();
  const runName = (id: string): string => view.job.harness.runs.find((run) => run.id === id)?.name ?? id;
  return (
    <Scroller label="What was found">
      <table className="w-full border-t border-ink text-left">
        <thead className="text-soft">
          <tr>
            <th className="py-2 font-normal">Circuit</th>
            <th className="font-normal">Found</th>
            <th className="font-normal">Place, {unit}</th>
            <th className="text-right font-normal">Lost</th>
            <th className="pr-4 text-right font-normal">Slack</th>
            <th className="text-right font-normal">Photos</th>
            <th>
              <span className="sr-only">Change</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {view.job.findings.map((finding) => {
            const circuit = circuitOf(finding.circuitId);
            const lost = lostStretch(finding);
            return (
              <tr
                key={finding.id}
                onClick={() => select(finding.id)}
                className={clsx(
                  'cursor-pointer border-t border-rule',
                  selected?.findingId === finding.id ? 'bg-wash' : 'hover:bg-sheet',
                )}
              >
                <td className="py-1.5 pl-2">
                  <span className="flex items-center gap-2">
                    <b className="figure w-7 text-right">{circuit.number}</b>
                    <span className="font-semibold">{circuit.function}</span>
                  </span>
                  <span className="ml-9 block leading-none">
                    <WireChip colour={circuit.wire.colour} title={colourInWords(circuit.wire.colour)} />
                  </span>
                </td>
                <td>
                  <span className="flex items-center gap-3">
                    <span className="max-sm:hidden">
                      <DamagePicture kind={finding.kind} />
                    </span>
                    <span>
                      {findingInWords(finding)}
                      <NearRepairs finding={finding} />
                      {notedInWords(finding).map(({ name, words }) => (
                        <span
                          key={name}
                          className={clsx('block', name === 'temporaryUntil' ? 'font-bold text-rework' : 'text-soft')}
                        >
                          {words}
                        </span>
                      ))}
                    </span>
                  </span>
                </td>
                <td>
                  {isAtCavity(finding) ? (
                    <>
                      {nodeName(finding.at.nodeId)} <Figure value={finding.at.cavity} />
                      <span className="block text-soft">{isEnd(finding.at.nodeId) ? 'end' : 'cavity'}</span>
                    </>
                  ) : (
                    <>
                      <Figure value={`${plain(finding.fromMm)}–${plain(finding.toMm)}`} />
                      <span className="block text-soft">{runName(finding.runId)}</span>
                    </>
                  )}
                </td>
                <td className="text-right">
                  {isAtCavity(finding) ? null : <Figure value={plain(lost.toMm - lost.fromMm)} />}
                </td>
                <td className="pr-4 text-right">
                  {finding.slackMm === undefined ? (
                    <span className="text-soft">not measured</span>
                  ) : (
                    <Figure value={plain(finding.slackMm)} />
                  )}
                </td>
                <td>
                  <Photos
                    jobId={view.id}
                    findingId={finding.id}
                    photos={view.photos}
                    circuit={circuit.number}
                    locked={!canProve}
                  />
                </td>
                <td className="text-right whitespace-nowrap">
                  {locked ? null : (
                    <>
                      <button
                        type="button"
                        className={KEY}
                        aria-label={`Change the finding on circuit ${circuit.number}`}
                        onClick={(event) => {
                          event.stopPropagation();
                          onEdit(finding);
                        }}
                      >
                        <Pencil size={19} aria-hidden />
                      </button>
                      <button
                        type="button"
                        className={KEY}
                        title="Leave it for later"
                        aria-label={`Leave the finding on circuit ${circuit.number} for later`}
                        onClick={(event) => {
                          event.stopPropagation();
                          onLeave(finding);
                        }}
                      >
                        <ClipboardList size={19} aria-hidden />
                      </button>
                      <button
                        type="button"
                        className={KEY}
                        aria-label={`Remove the finding on circuit ${circuit.number}`}
                        onClick={(event) => {
                          event.stopPropagation();
                          onRemove(finding);
                        }}
                      >
                        <Trash2 size={19} aria-hidden />
                      </button>
                    </>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Scroller>
  );
}
