import { useState } from 'react';
import { Link } from 'react-router';
import { figure } from '@mendum/core/units';
import type { HarnessSummary } from '@mendum/core/operations';
import { useHarnessesInfiniteQuery, useHarnessQuery } from '../../app/api.ts';
import { PagedList } from '../../app/PagedList.tsx';
import { usePages } from '../../app/usePages.ts';
import { HarnessTree } from '../../draw/HarnessTree.tsx';
import { Only } from '../../people/Only.tsx';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/field.tsx';
import { useSettled } from '../../ui/useSettled.ts';
import { Place } from '../Place.tsx';
import { NewHarness } from './NewHarness.tsx';
import { Stretch } from './Stretch.tsx';

/** One harness as it hangs, with the way to its page; it is fetched whole once its line can be seen. */
function HarnessRow({ of }: { readonly of: HarnessSummary }) {
  const { data: view } = useHarnessQuery({ harnessId: of.id, version: of.version });
  const faces = view?.nodes.filter((node) => node.face) ?? [];
  const runs = view?.runs.length;
  return (
    <div className="grid min-h-20 items-center gap-x-6 gap-y-1 py-2 sm:grid-cols-[300px_minmax(0,1fr)]">
      <Link to={`/machines/${of.id}`} className="flex min-h-16 flex-col justify-center px-2 hover:bg-wash">
        <span className="text-xl font-semibold underline underline-offset-4">{of.name}</span>
        <span className="text-soft">
          {of.circuits} {of.circuits === 1 ? 'circuit' : 'circuits'}
          {runs === undefined ? '' : `, ${runs} ${runs === 1 ? 'run' : 'runs'}`}
          {faces.length > 0
            ? `, ${faces.map((node) => `${node.name}${node.ways === undefined ? '' : ` ${node.ways}-way`}`).join(', ')}`
            : ''}
        </span>
      </Link>
      <div className="pointer-events-none" aria-hidden inert>
        {view ? <HarnessTree harness={view} findings={[]} runId="" onPick={() => undefined} /> : null}
      </div>
    </div>
  );
}

/** A line of the list: the first of a machine names it. */
interface Line {
  readonly of: HarnessSummary;
  readonly isFirst: boolean;
}

/** Machines with their harnesses, found by name or by what a circuit does. */
export function MachinesPlace() {
  const [words, setWords] = useState('');
  const search = useSettled(words.trim());
  const pages = usePages(useHarnessesInfiniteQuery(search === '' ? {} : { search }));
  const lines = pages.lines?.map((of, index, all): Line => ({
    of,
    isFirst: all[index - 1]?.machineId !== of.machineId,
  }));
  const [making, setMaking] = useState<'pinout' | 'stretch'>();
  return (
    <Place
      title="Machines"
      about="Their harnesses, connectors and circuits."
      actions={
        <Only may="addHarness">
          <div className="flex flex-wrap gap-3">
            <Button onClick={() => setMaking('stretch')}>A stretch that is opened</Button>
            <Button look="copper" onClick={() => setMaking('pinout')}>
              Describe a new harness
            </Button>
          </div>
        </Only>
      }
    >
      <div className="mb-4 max-w-md">
        <TextField
          label="Find a machine or a function"
          type="search"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      </div>
      <PagedList
        label="Harnesses"
        pages={{ ...pages, lines }}
        waiting="Fetching the machines…"
        empty={
          search === ''
            ? {
                title: 'No machine yet',
                next: 'Draw the stretch that is opened, describe a harness from its pinout, or import a job file in Jobs.',
              }
            : { title: `Nothing matches “${search}”`, next: 'Try part of a name or of a circuit’s function.' }
        }
        keyOf={({ of }) => of.id}
      >
        {({ of, isFirst }) => (
          <>
            {isFirst ? (
              <h2 className="border-b border-ink px-2 pt-3 pb-1 text-2xl font-semibold">
                {of.machine}{' '}
                <span className="text-lg font-normal text-soft">
                  {of.machineKind}, {figure(of.systemVoltageV)} V
                </span>
              </h2>
            ) : null}
            <HarnessRow of={of} />
          </>
        )}
      </PagedList>
      {making === 'pinout' ? <NewHarness onClose={() => setMaking(undefined)} /> : null}
      {making === 'stretch' ? <Stretch onClose={() => setMaking(undefined)} /> : null}
    </Place>
  );
}
