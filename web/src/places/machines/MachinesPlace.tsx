import { useState } from 'react';
import { Link } from 'react-router';
import { figure } from '@mendum/core';
import type { HarnessView } from '@mendum/core/interchange';
import { useHarnessesQuery } from '../../app/api.ts';
import { errorOf } from '../../app/change.ts';
import { HarnessTree } from '../../draw/HarnessTree.tsx';
import { Button } from '../../ui/button.tsx';
import { Empty, Failed, Working } from '../../ui/empty.tsx';
import { TextField } from '../../ui/field.tsx';
import { Place } from '../Place.tsx';
import { NewHarness } from './NewHarness.tsx';

const matches = (view: HarnessView, words: string): boolean =>
  words
    .toLowerCase()
    .split(/\s+/)
    .every((word) =>
      `${view.machine} ${view.machineKind} ${view.name} ${view.circuits.map((circuit) => circuit.function).join(' ')}`
        .toLowerCase()
        .includes(word),
    );

/** One harness as it hangs, with the way to its page. */
function HarnessRow({ view }: { readonly view: HarnessView }) {
  const faces = view.nodes.filter((node) => node.face);
  return (
    <li className="grid items-center gap-x-6 gap-y-1 border-b border-rule py-2 sm:grid-cols-[300px_minmax(0,1fr)]">
      <Link to={`/machines/${view.id}`} className="flex min-h-16 flex-col justify-center px-2 hover:bg-wash">
        <span className="text-xl font-semibold underline underline-offset-4">{view.name}</span>
        <span className="text-soft">
          {view.circuits.length} circuits, {view.runs.length} {view.runs.length === 1 ? 'run' : 'runs'}
          {faces.length > 0
            ? `, ${faces.map((node) => `${node.name}${node.ways === undefined ? '' : ` ${node.ways}-way`}`).join(', ')}`
            : ''}
        </span>
      </Link>
      <div className="pointer-events-none" aria-hidden inert>
        <HarnessTree harness={view} findings={[]} runId="" onPick={() => undefined} />
      </div>
    </li>
  );
}

/** Machines with their harnesses, found by name or by what a circuit does. */
export function MachinesPlace() {
  const { data, error, refetch } = useHarnessesQuery();
  const [words, setWords] = useState('');
  const [making, setMaking] = useState(false);
  const failed = error && errorOf(error);
  const shown = (data ?? []).filter((view) => matches(view, words.trim()));
  const machines = [...new Set(shown.map((view) => view.machineId))].map((id) =>
    shown.filter((view) => view.machineId === id),
  );
  return (
    <Place
      title="Machines"
      about="Their harnesses, connectors and circuits."
      actions={
        <Button look="copper" onClick={() => setMaking(true)}>
          Describe a new harness
        </Button>
      }
    >
      {failed ? (
        <Failed message={failed.message} hint={failed.hint} onRetry={() => void refetch()} />
      ) : !data ? (
        <Working words="Fetching the machines…" />
      ) : (
        <>
          <div className="mb-4 max-w-md">
            <TextField
              label="Find a machine or a function"
              type="search"
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
          </div>
          {machines.length === 0 ? (
            <Empty title={data.length === 0 ? 'No machine yet' : `Nothing matches “${words}”`}>
              {data.length === 0
                ? 'Describe a harness from its pinout, or import a job file in Jobs.'
                : 'Try part of a name or of a circuit’s function.'}
            </Empty>
          ) : (
            machines.map((views) => (
              <section key={views[0]?.machineId} aria-label={views[0]?.machine ?? ''} className="mb-5">
                <h2 className="border-b border-ink px-2 pb-1 text-2xl font-semibold">
                  {views[0]?.machine}{' '}
                  <span className="text-lg font-normal text-soft">
                    {views[0]?.machineKind}, {figure(views[0]?.systemVoltageV ?? 0)} V
                  </span>
                </h2>
                <ul>
                  {views.map((view) => (
                    <HarnessRow key={view.id} view={view} />
                  ))}
                </ul>
              </section>
            ))
          )}
        </>
      )}
      {making ? <NewHarness known={data ?? []} onClose={() => setMaking(false)} /> : null}
    </Place>
  );
}
