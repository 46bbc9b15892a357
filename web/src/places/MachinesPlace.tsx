import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { colourInWords, figure, KIND_WORDS, moistureInWords, sizeInWords, vibrationInWords, type Circuit } from '@mendum/core';
import type { HarnessView } from '@mendum/core/interchange';
import { useHarnessesQuery } from '../app/api.ts';
import { errorOf } from '../app/change.ts';
import { ConnectorView } from '../connector/ConnectorView.tsx';
import { WireChip } from '../draw/WireLine.tsx';
import { Button } from '../ui/button.tsx';
import { Empty, Failed, Working } from '../ui/empty.tsx';
import { TextField } from '../ui/field.tsx';
import { Length } from '../ui/units.tsx';
import { Place } from './Place.tsx';

const matches = (view: HarnessView, words: string): boolean =>
  words.toLowerCase().split(/\s+/).every((word) => `${view.machine} ${view.machineKind} ${view.name} ${view.circuits.map((circuit) => circuit.function).join(' ')}`.toLowerCase().includes(word));

/** The connectors of a harness by name; the picked one is shown with its mate. */
function Connectors({ view, nameOf, start }: { readonly view: HarnessView; readonly nameOf: (nodeId: string) => string; readonly start: Circuit | undefined }) {
  const described = view.nodes.flatMap((node) => (node.face ? [{ ...node, face: node.face }] : []));
  const startEnd = start && [start.from, start.to].find((end) => described.some((one) => one.id === end.nodeId));
  const [picked, setPicked] = useState(startEnd?.nodeId);
  const node = described.find((one) => one.id === picked);
  if (described.length === 0) return null;
  return (
    <section aria-label={`Connectors of ${view.name}`} className="grid gap-4">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="text-xl font-semibold">Connectors</h2>
        {described.map((one) => <Button key={one.id} aria-pressed={one.id === picked} className={one.id === picked ? '!border-2 !border-copper' : ''} onClick={() => setPicked(one.id === picked ? undefined : one.id)}>{one.name}{one.ways === undefined ? '' : `, ${one.ways}-way`}</Button>)}
      </div>
      {node ? <ConnectorView key={node.id} node={node} circuits={view.circuits} nodeName={nameOf} startCavity={startEnd?.nodeId === node.id ? startEnd.cavity : undefined} /> : null}
    </section>
  );
}

function HarnessBlock({ view, circuitId }: { readonly view: HarnessView; readonly circuitId: string | undefined }) {
  const start = view.circuits.find((circuit) => circuit.id === circuitId);
  const row = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    if (start) row.current?.scrollIntoView();
  }, [start]);
  const nameOf = (nodeId: string): string => view.nodes.find((node) => node.id === nodeId)?.name ?? nodeId;
  return (
    <details ref={row} open={start !== undefined} className="border-b border-rule">
      <summary className="flex min-h-16 cursor-pointer flex-wrap items-center gap-x-5 px-2 py-2 hover:bg-sheet">
        <span className="text-xl font-semibold">{view.machine}</span>
        <span className="text-soft">{view.machineKind}, {figure(view.systemVoltageV)} V</span>
        <span className="ml-auto text-lg">{view.name}</span>
        <span className="text-soft">{view.circuits.length} circuits, {view.runs.length} {view.runs.length === 1 ? 'run' : 'runs'}</span>
      </summary>
      <div className="grid gap-5 px-2 pb-6">
        <ul>
          {view.runs.map((run) => <li key={run.id} className="py-1"><b>{run.name}</b> <Length mm={run.lengthMm} digits={0} /> <span className="text-soft">{nameOf(run.fromNodeId)} → {nameOf(run.toNodeId)}; it {vibrationInWords(run.zone)} and {moistureInWords(run.zone)}{run.zone.fuelVapour ? ', fuel vapour near' : ''}</span></li>)}
        </ul>
        <Connectors view={view} nameOf={nameOf} start={start} />
        <table className="w-full text-left">
          <thead className="border-b border-ink text-soft"><tr><th className="w-12 pb-1 font-normal">No.</th><th className="font-normal">Function</th><th className="font-normal">Kind</th><th className="font-normal">Wire</th><th className="font-normal">From → to</th></tr></thead>
          <tbody>
            {view.circuits.map((circuit) => (
              <tr key={circuit.id} aria-current={circuit.id === circuitId ? 'true' : undefined} className={circuit.id === circuitId ? 'border-b border-rule bg-wash' : 'border-b border-rule'}>
                <td className="figure py-1.5">{circuit.number}</td><td className="font-semibold">{circuit.function}</td><td>{KIND_WORDS[circuit.kind]}</td>
                <td><span className="flex items-center gap-3"><WireChip colour={circuit.wire.colour} title={colourInWords(circuit.wire.colour)} />{sizeInWords(circuit.wire.size)}</span></td>
                <td>{nameOf(circuit.from.nodeId)} {circuit.from.cavity} → {nameOf(circuit.to.nodeId)} {circuit.to.cavity}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

/** Machines and the harnesses that are known, to look up. */
export function MachinesPlace() {
  const { data, error, refetch } = useHarnessesQuery();
  const [search] = useSearchParams();
  const [words, setWords] = useState('');
  const failed = error && errorOf(error);
  const shown = (data ?? []).filter((view) => matches(view, words.trim()));
  return (
    <Place title="Machines" about="Harnesses that are known. A new one comes in with a job file.">
      {failed ? <Failed message={failed.message} hint={failed.hint} onRetry={() => void refetch()} /> : !data ? <Working words="Fetching the machines…" /> : (
        <>
          <div className="mb-4 max-w-md"><TextField label="Find a machine or a function" type="search" value={words} onChange={(event) => setWords(event.target.value)} /></div>
          {shown.length === 0 ? <Empty title={data.length === 0 ? 'No machine yet' : `Nothing matches “${words}”`}>{data.length === 0 ? 'Import a job file in Jobs.' : 'Try part of a name or of a circuit’s function.'}</Empty> : <div className="border-t border-ink">{shown.map((view) => <HarnessBlock key={`${view.id} ${search.get('harness') === view.id ? (search.get('circuit') ?? '') : ''}`} view={view} circuitId={search.get('harness') === view.id ? (search.get('circuit') ?? undefined) : undefined} />)}</div>}
        </>
      )}
    </Place>
  );
}
