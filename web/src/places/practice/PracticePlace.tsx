import { useEffect, useState } from 'react';
import clsx from 'clsx';
import { useSearchParams } from 'react-router';
import { v4 as uuid } from 'uuid';
import type { Practice } from '@mendum/core/practice';
import type { PracticeView } from '@mendum/core/operations';
import { usePracticesQuery } from '../../app/api.ts';
import { useSave } from '../../app/change.ts';
import { errorOf } from '../../app/errors.ts';
import { keep, recall } from '../../app/kept.ts';
import { notify } from '../../app/notice.ts';
import { useMay } from '../../app/session.ts';
import { Only } from '../../people/Only.tsx';
import { Button } from '../../ui/button.tsx';
import { Failed, Working } from '../../ui/empty.tsx';
import { Place } from '../Place.tsx';
import { EffectDialog } from './EffectDialog.tsx';
import { PracticeEditor } from './PracticeEditor.tsx';

const jobsWords = ({ jobs, ready }: PracticeView): string =>
  `${ready ? 'ready' : "the shop's own"}${jobs === 0 ? '' : `, ${jobs} open ${jobs === 1 ? 'job' : 'jobs'}`}`;

const sameBut = (a: Practice, b: Practice): boolean => JSON.stringify(a) === JSON.stringify(b);

const keyOf = (practice: Practice): string => `mendum.practice.${practice.id}`;

/** Changes that this device kept, as long as they are to the version that is stored. */
function draftOf({ practice }: PracticeView): Practice {
  const kept = recall(keyOf(practice)) as Partial<Practice> | undefined;
  return kept?.id === practice.id && kept.version === practice.version ? { ...practice, ...kept } : practice;
}

/** One practice of the shop's own being changed: what a change alters is shown before it is saved. */
function OwnPractice({ view, onGone }: { readonly view: PracticeView; readonly onGone: () => void }) {
  const { save: send, busy } = useSave();
  const [draft, setDraft] = useState(() => draftOf(view));
  const [asking, setAsking] = useState(false);
  const changed = !sameBut(draft, view.practice);
  useEffect(() => keep(keyOf(draft), changed ? draft : undefined), [draft, changed]);
  const save = async (): Promise<void> => {
    const outcome = await send('changePractice', { practiceId: draft.id, practice: draft });
    if (!outcome.ok) return;
    setAsking(false);
    setDraft({ ...draft, version: outcome.data.practiceVersion });
    notify(`${draft.name} is saved`);
  };
  const remove = async (): Promise<void> => {
    const outcome = await send('removePractice', { practiceId: draft.id });
    if (!outcome.ok) return;
    notify(`${draft.name} is removed`, {
      undo: () => void send('addPractice', { practice: { ...draft, id: uuid(), version: 1 } }),
    });
    onGone();
  };
  return (
    <>
      <PracticeEditor practice={draft} onChange={setDraft} />
      <div className="sticky bottom-0 short:static -mx-2 mt-6 flex flex-wrap items-center gap-3 border-t border-ink bg-paper px-2 py-3">
        <Button look="copper" disabled={!changed || busy} onClick={() => setAsking(true)}>
          See what it changes, and save
        </Button>
        <Button disabled={!changed} onClick={() => setDraft(view.practice)}>
          Undo the changes
        </Button>
        <span className="text-soft">{changed ? 'Not saved yet.' : ''}</span>
        <Button look="scrap" className="ml-auto" disabled={busy || view.jobs > 0} onClick={() => void remove()}>
          Remove it
        </Button>
      </div>
      {asking ? (
        <EffectDialog practice={draft} busy={busy} onSave={() => void save()} onClose={() => setAsking(false)} />
      ) : null}
    </>
  );
}

/**
 * Where good technicians disagree: three ready practices, a shop's own copies, and every rule with both sides' reasons.
 */
export function PracticePlace() {
  const { data, error, refetch } = usePracticesQuery({});
  const { save: send, busy } = useSave();
  const may = useMay('changePractice');
  const [search, setSearch] = useSearchParams();
  const failed = error && errorOf(error);
  const open = data?.find((view) => view.practice.id === search.get('practice')) ?? data?.[0];
  const show = (id: string | undefined): void => setSearch(id === undefined ? {} : { practice: id }, { replace: true });
  const copy = async (from: Practice): Promise<void> => {
    const practice: Practice = { ...from, id: uuid(), version: 1, name: `${from.name}, our copy` };
    const outcome = await send('addPractice', { practice });
    if (outcome.ok) show(practice.id);
  };
  return (
    <Place
      title="Practice"
      about="Where good technicians disagree, and the rules that every plan obeys. The practice of a job is chosen in Decide."
    >
      {failed ? (
        <Failed message={failed.message} hint={failed.hint} onRetry={() => void refetch()} />
      ) : !data || !open ? (
        <Working words="Fetching the practices…" />
      ) : (
        <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[260px_minmax(0,1fr)]">
          <nav aria-label="Practices">
            <ul className="border-t border-rule">
              {data.map((view) => (
                <li key={view.practice.id} className="border-b border-rule">
                  <button
                    type="button"
                    aria-current={view === open}
                    className={clsx(
                      'flex min-h-14 w-full flex-col items-start justify-center px-3 py-1 text-left hover:bg-wash',
                      view === open && 'border-l-4 border-copper bg-wash',
                    )}
                    onClick={() => show(view.practice.id)}
                  >
                    <span className="text-lg font-semibold">{view.practice.name}</span>
                    <span className="text-soft">{jobsWords(view)}</span>
                  </button>
                </li>
              ))}
            </ul>
            <Only may="addPractice">
              <Button className="mt-3 w-full" disabled={busy} onClick={() => void copy(open.practice)}>
                Make our own copy
              </Button>
            </Only>
          </nav>
          <section aria-label={open.practice.name} className="min-w-0">
            <h2 className="text-3xl font-semibold">
              {open.practice.name}
              {open.practice.id === 'crimpFirst' ? (
                <span className="ml-2 text-lg font-normal text-soft">ours</span>
              ) : null}
            </h2>
            <div className="min-h-11 content-center">
              {open.usual ? (
                <p className="text-lg font-semibold text-pass">✓ New jobs begin with it</p>
              ) : (
                <Only may="setUsualPractice">
                  <Button
                    disabled={busy}
                    onClick={() => void send('setUsualPractice', { practiceId: open.practice.id })}
                  >
                    Begin new jobs with it
                  </Button>
                </Only>
              )}
            </div>
            {open.ready ? (
              <>
                <p className="text-soft">
                  A ready practice stays as it is. Make a copy of it to change what your shop does otherwise.
                </p>
                <PracticeEditor practice={open.practice} />
              </>
            ) : !may ? (
              <PracticeEditor practice={open.practice} />
            ) : (
              <OwnPractice
                key={`${open.practice.id} ${open.practice.version}`}
                view={open}
                onGone={() => show(undefined)}
              />
            )}
          </section>
        </div>
      )}
    </Place>
  );
}
