import { useState } from 'react';
import { useParams } from 'react-router';
import type { HarnessNode } from '@mendum/core/harness';
import {
  checkMapping,
  circuitsAt,
  continuityNeeds,
  isProved,
  joinsByCavity,
  mappingLines,
  type MappingCard,
} from '@mendum/core/mapping';
import type { JobView } from '@mendum/core/operations';
import { useJobView } from '../app/useJobView.ts';
import { useSave } from '../app/change.ts';
import { errorOf } from '../app/errors.ts';
import { notify } from '../app/notice.ts';
import { useMay } from '../app/session.ts';
import { Button } from '../ui/button.tsx';
import { Empty, Failed, Working } from '../ui/empty.tsx';
import { CardPage } from './CardPage.tsx';
import { ContinuityList } from './ContinuityList.tsx';
import { FromShelf } from './FromShelf.tsx';
import { draftOf, unreadOf, wireOf, withWire, type DraftWire } from './mappingDraft.ts';
import { MappingTable } from './MappingTable.tsx';

/** The card of one connector: the pigtail's wires by cavity, what forbids them, and the readings that prove them. */
function MappingEditor({ view, node }: { readonly view: JobView; readonly node: HarnessNode }) {
  const { harness } = view.job;
  const mayMap = useMay('saveMapping');
  const { save: send, busy } = useSave();
  const stored = view.job.mappings?.find((one) => one.nodeId === node.id);
  const [typed, setTyped] = useState<readonly DraftWire[]>();
  const wires = typed ?? stored?.pigtail.map(draftOf) ?? [];
  const pigtail = wires.flatMap((wire) => wireOf(wire) ?? []);
  const unread = unreadOf(wires);
  const card: MappingCard = {
    nodeId: node.id,
    pigtail,
    joins: joinsByCavity(node, harness.circuits, pigtail),
    readings: typed ? [] : (stored?.readings ?? []),
  };
  const problems = checkMapping(node, harness, card);
  const missing = problems.filter((problem) => problem.kind === 'missing');
  const wrong = problems.filter((problem) => problem.kind !== 'missing');
  const locked = view.status === 'signed' || !mayMap;
  const proved = isProved(node, harness, card);
  const save = async (): Promise<void> => {
    const outcome = await send('saveMapping', {
      jobId: view.id,
      nodeId: node.id,
      version: view.version,
      card: { ...card, readings: [] },
    });
    if (!outcome.ok) return;
    setTyped(undefined);
    notify(missing.length === 0 ? 'Mapping saved' : 'Saved so far; some circuits have no pigtail wire yet');
  };
  return (
    <CardPage
      title={`Mapping card, ${node.name}`}
      about={`Job ${view.job.number}, ${view.job.machine.name}, ${harness.name}`}
      back={{ to: `/jobs/${view.id}/survey`, words: 'Survey' }}
    >
      <p className="border-l-4 border-copper pl-3 text-xl">
        <b>By cavity, never by colour.</b> See which wire comes out of each cavity of the new connector, and note its
        colour and size.
      </p>
      {locked ? null : (
        <FromShelf node={node} cavities={[...circuitsAt(node, harness.circuits).keys()]} onTake={setTyped} />
      )}
      <MappingTable
        lines={mappingLines(node, harness.circuits, pigtail)}
        wires={wires}
        nodeName={node.name}
        locked={locked}
        onChange={(cavity, change) => setTyped(withWire(wires, cavity, change))}
      />
      {wrong.length === 0 ? null : (
        <ul role="alert" aria-label="What forbids it" className="grid gap-2">
          {wrong.map((problem) => (
            <li key={`${problem.cavity} ${problem.because}`} className="border-l-4 border-scrap pl-3 text-lg">
              <b className="text-scrap">{problem.because}</b> {problem.remedy}
            </li>
          ))}
        </ul>
      )}
      {locked || !typed ? null : (
        <div className="no-print mt-4 flex flex-wrap items-center gap-4">
          <Button look="copper" disabled={busy || wrong.length > 0 || unread.length > 0} onClick={() => void save()}>
            Save this mapping
          </Button>
          {unread.length > 0 ? (
            <p className="text-lg text-rework">Read it off the pigtail: {unread.join('; ')}.</p>
          ) : null}
          {missing.length > 0 && unread.length === 0 ? (
            <p className="text-lg text-rework">
              {missing.length} {missing.length === 1 ? 'circuit has' : 'circuits have'} no pigtail wire yet:{' '}
              {missing.map((problem) => `cavity ${problem.cavity}`).join(', ')}.
            </p>
          ) : null}
        </div>
      )}
      {problems.length === 0 && !typed ? (
        <ContinuityList
          needs={continuityNeeds(node, harness, card)}
          node={node}
          nodeName={(id) => harness.nodes.find((one) => one.id === id)?.name ?? id}
          proved={proved}
          locked={locked}
          onRead={(cavity, soundsAt, neighbourSounds) =>
            void send('readContinuity', { jobId: view.id, nodeId: node.id, cavity, soundsAt, neighbourSounds })
          }
        />
      ) : null}
    </CardPage>
  );
}

/** The page of a mapping card, by job and connector. */
export function MappingPage() {
  const { jobId = '', nodeId } = useParams();
  const { view, error, refetch } = useJobView(jobId);
  if (error) {
    const { message, hint } = errorOf(error);
    return (
      <div className="p-8">
        <Failed message={message} hint={hint} onRetry={refetch} />
      </div>
    );
  }
  if (!view)
    return (
      <div className="p-8">
        <Working words="Fetching the job…" />
      </div>
    );
  const node = view.job.harness.nodes.find((one) => one.id === nodeId && one.kind === 'connector');
  return node ? (
    <MappingEditor view={view} node={node} />
  ) : (
    <div className="p-8">
      <Empty title="This connector is not in the job">Pick it in Survey.</Empty>
    </div>
  );
}
