import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { DoneRepair, HarnessView } from '@mendum/core/operations';
import { useHarnessHistoryQuery, useHarnessQuery } from '../../app/api.ts';
import { errorOf } from '../../app/errors.ts';
import { Button } from '../../ui/button.tsx';
import { Empty, Failed, Working } from '../../ui/empty.tsx';
import { NumberField, Select } from '../../ui/field.tsx';
import { ExportLinks } from '../../ui/ExportLinks.tsx';
import { TodoSection } from '../todo/TodoSection.tsx';
import { DoneList } from './DoneList.tsx';
import { HistoryDrawing } from './HistoryDrawing.tsx';
import { bodyOf, runOf, shownOf } from './shown.ts';

/** As far as "here" reaches where nobody says otherwise, mm. */
const NEAR_MM = 200;

/** The run with the most repairs, else the first. */
const busiest = ({ runs }: HarnessView, done: readonly DoneRepair[]): HarnessView['runs'][number] | undefined =>
  [...runs].sort(
    (a, b) =>
      done.filter((one) => bodyOf(one)?.runId === b.id).length -
      done.filter((one) => bodyOf(one)?.runId === a.id).length,
  )[0];

/** What was asked stands in the address, so that it can be kept and sent. */
function useAsked(view: HarnessView) {
  const [search, setSearch] = useSearchParams();
  const atMm = search.get('at');
  const set = (name: 'circuit' | 'run' | 'at' | 'connector', value: string | undefined): void =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        if (value === undefined || value === '') next.delete(name);
        else next.set(name, value);
        return next;
      },
      { replace: true },
    );
  return {
    circuit: view.circuits.find(({ id }) => id === search.get('circuit')),
    run: view.runs.find(({ id }) => id === search.get('run')),
    connector: view.nodes.find(({ id }) => id === search.get('connector')),
    atMm: atMm === null || !Number.isFinite(Number(atMm)) ? undefined : Number(atMm),
    set,
    showAll: () => setSearch({}, { replace: true }),
  };
}

/** Everything ever done on a harness: drawn on a run, and one after the other. */
function History({
  view,
  done,
  total,
}: {
  readonly view: HarnessView;
  readonly done: readonly DoneRepair[];
  readonly total: number;
}) {
  const { circuit, run, connector, atMm, set, showAll } = useAsked(view);
  const [pickedId, setPickedId] = useState<string>();
  const asked = { circuit, run, connector, atMm: run && atMm, withinMm: NEAR_MM };
  const shown = shownOf(done, view, asked);
  const picked = shown.find(({ recordId }) => recordId === pickedId);
  const drawn = run ?? (picked && runOf(picked, view)) ?? busiest(view, shown);
  const onDrawn = shown.filter((one) => bodyOf(one)?.runId === drawn?.id);
  const pick = (recordId: string): void => setPickedId(recordId === pickedId ? undefined : recordId);
  const ending = view.nodes.filter(({ id }) =>
    view.circuits.some(({ from, to }) => from.nodeId === id || to.nodeId === id),
  );
  const nodeName = (id: string): string => view.nodes.find((one) => one.id === id)?.name ?? id;
  return (
    <>
      <div className="no-print mb-3 flex flex-wrap items-end gap-4">
        <div className="w-72 max-w-full">
          <Select label="Circuit" value={circuit?.id ?? ''} onChange={({ target }) => set('circuit', target.value)}>
            <option value="">All circuits</option>
            {view.circuits.map(({ id, number, function: work }) => (
              <option key={id} value={id}>
                {number} {work}
              </option>
            ))}
          </Select>
        </div>
        <div className="w-56 max-w-full">
          <Select label="Run" value={run?.id ?? ''} onChange={({ target }) => set('run', target.value)}>
            <option value="">All runs</option>
            {view.runs.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
        </div>
        <div className="w-48 max-w-full">
          <Select
            label="Connector"
            value={connector?.id ?? ''}
            onChange={({ target }) => set('connector', target.value)}
          >
            <option value="">All connectors</option>
            {ending.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
        </div>
        {run ? (
          <div className="w-64 max-w-full">
            <NumberField
              label={`Near, from ${nodeName(run.fromNodeId)}`}
              unit="mm"
              min={0}
              value={atMm ?? ''}
              onChange={({ target }) => set('at', target.value)}
            />
          </div>
        ) : null}
        {circuit || run || connector ? (
          <Button look="quiet" onClick={showAll}>
            Show all
          </Button>
        ) : null}
      </div>
      <p className="mb-2 text-lg">
        <b>{shown.length === 0 ? 'Nothing' : shown.length === 1 ? '1 record' : `${shown.length} records`}</b>
        {circuit ? ` on circuit ${circuit.number}` : ''}
        {connector ? ` at ${connector.name} or within ${NEAR_MM} mm of it` : ''}
        {run && atMm !== undefined
          ? ` within ${NEAR_MM} mm of ${atMm} mm on ${run.name}`
          : run
            ? ` on ${run.name}`
            : ''}
        {shown.length < done.length ? `, of ${done.length} on this harness` : ''}
        {total > done.length ? `. The newest ${done.length} of ${total} are shown` : ''}.
      </p>
      {drawn && onDrawn.length > 0 ? (
        <section aria-label={`Repairs on ${drawn.name}`} className="mb-4 border-y border-rule py-2">
          <h2 className="text-xl font-semibold">{drawn.name}</h2>
          <HistoryDrawing
            key={drawn.id}
            run={drawn}
            fromName={nodeName(drawn.fromNodeId)}
            circuits={view.circuits.filter(({ id }) => onDrawn.some((one) => bodyOf(one)?.circuitId === id))}
            done={onDrawn}
            atMm={run && atMm}
            withinMm={NEAR_MM}
            pickedId={pickedId}
            onPick={pick}
          />
          <p className="text-soft">
            Wires on which nothing was done are left out. Dashed: cut out since. Tap one to find it in the list.
          </p>
        </section>
      ) : null}
      <DoneList done={shown} pickedId={pickedId} onPick={pick} />
    </>
  );
}

/** The history of one harness, by its address. */
export function HistoryPage() {
  const { harnessId: asked = '' } = useParams();
  const [search] = useSearchParams();
  const history = useHarnessHistoryQuery({ harnessId: asked });
  const harnessId = history.data?.harnessId ?? asked;
  const harness = useHarnessQuery({ harnessId }, { skip: !history.data });
  const failed = history.error ?? harness.error;
  const refused = failed && errorOf(failed);
  if (refused)
    return (
      <Failed
        message={refused.message}
        hint={refused.hint}
        onRetry={() => {
          void history.refetch();
        }}
      />
    );
  const { data: view } = harness;
  if (!view || !history.data) return <Working words="Fetching what was done here…" />;
  const { done, total, others } = history.data;
  return (
    <div className="px-6 pb-10 max-sm:px-4">
      <header className="pt-4 pb-3">
        <Link
          to={`/machines/${view.id}`}
          className="no-print inline-flex min-h-11 items-center underline underline-offset-4"
        >
          {view.name}
        </Link>
        <h1 className="text-3xl font-semibold">What was done here</h1>
        <p className="text-lg text-soft">
          {view.machine}, {view.name}
        </p>
        {others.length > 0 ? (
          <p className="no-print flex flex-wrap items-center gap-x-4">
            <span className="text-soft">Also on this machine:</span>
            {others.map(({ harnessId: id, name, records }) => (
              <Link
                key={id}
                to={`/machines/${id}/history`}
                className="inline-flex min-h-11 items-center underline underline-offset-4"
              >
                {name}, {records === 1 ? '1 record' : `${records} records`}
              </Link>
            ))}
          </p>
        ) : null}
        {total > 0 ? <ExportLinks of={{ harnessId: view.id }} label={`Take along ${view.name}`} /> : null}
        {others.some(({ records }) => records > 0) ? (
          <ExportLinks of={{ machineId: view.machineId }} label={`Take along all of ${view.machine}`} />
        ) : null}
        {done.length === 0 ? null : (
          <a href="#todo" className="no-print inline-flex min-h-11 items-center text-lg underline underline-offset-4">
            To do here
          </a>
        )}
      </header>
      {done.length === 0 ? (
        <Empty title="Nothing was repaired here yet">Repairs come here once their job is signed.</Empty>
      ) : (
        <History view={view} done={done} total={total} />
      )}
      <TodoSection view={view} circuitId={search.get('circuit') ?? undefined} />
    </div>
  );
}
