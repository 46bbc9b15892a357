import { editCatalogue, type Catalogue } from '@mendum/core/catalogue';
import type { MappingCard } from '@mendum/core/mapping';
import type { AnswerOf, ArgsOf, JobState, Tick, WriteHead, WriteName } from '@mendum/core/operations';

/** A change of what is shown, which can be taken back. */
interface Patch {
  readonly undo: () => void;
}

/** Changes what is shown of a job or of the shelf, before it is read again. */
export interface Shown {
  readonly job: (jobId: string, change: (state: JobState) => JobState) => Patch;
  readonly shelf: (change: (shelf: Catalogue) => Catalogue) => Patch;
}

type Args<N extends WriteName> = ArgsOf<N> & WriteHead;
type ByName<F extends { readonly [N in WriteName]: unknown }> = { readonly [N in WriteName]?: F[N] };

const said = ({ by }: WriteHead) => ({ by, at: new Date().toISOString() });
const inJob =
  (change: (job: JobState['job']) => Partial<JobState['job']>) =>
  (state: JobState): JobState => ({ ...state, job: { ...state.job, ...change(state.job) } });

/**
 * What shows at once, while the server is asked: ticks, the gate, choices, counts on the shelf. It is taken back when
 * the server refuses it.
 */
export const AT_ONCE: ByName<{ [N in WriteName]: (show: Shown, args: Args<N>) => readonly Patch[] }> = {
  tick: (show, { jobId, steps, done, ...head }) => [
    show.job(jobId, (state) => {
      const changed = new Set(steps.map(({ stepId }) => stepId));
      const ticks = steps.map((step): Tick => ({ ...step, done, ...said(head) }));
      return { ...state, ticks: [...state.ticks.filter(({ stepId }) => !changed.has(stepId)), ...ticks] };
    }),
  ],
  sayGate: (show, { jobId, entry, how, procedure, reading, ...head }) => [
    show.job(
      jobId,
      inJob(({ gate }) => ({
        gate: { ...gate, [entry]: { ...definedOf({ how, procedure, reading }), ...said(head) } },
      })),
    ),
  ],
  withdrawGate: (show, { jobId, entry }) => [
    show.job(
      jobId,
      inJob(({ gate }) => ({ gate: { ...gate, [entry]: undefined } })),
    ),
  ],
  choose: (show, { jobId, findingId, use, terminal, reason = '', ...head }) => [
    show.job(
      jobId,
      inJob(({ choices }) => ({
        choices: [
          ...choices.filter((one) => one.findingId !== findingId),
          ...(use === null ? [] : [{ findingId, use, ...definedOf({ terminal }), reason, ...said(head) }]),
        ],
      })),
    ),
  ],
  changeShelf: (show, { edits }) => [
    show.shelf((shelf) => ({ ...editCatalogue(shelf, edits), version: shelf.version })),
  ],
};

const definedOf = <T extends object>(fields: T): Partial<T> =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<T>;

const atVersion =
  (version: number, change: (job: JobState['job']) => Partial<JobState['job']> = () => ({})) =>
  (state: JobState): JobState => ({ ...inJob(change)(state), version });

const withCard = (cards: readonly MappingCard[] = [], card: MappingCard): readonly MappingCard[] =>
  cards.some(({ nodeId }) => nodeId === card.nodeId)
    ? cards.map((one) => (one.nodeId === card.nodeId ? card : one))
    : [...cards, card];

/**
 * What is shown once a write has been answered and before anything is read again: the new version with what was saved,
 * so that the next press is not stale against one's own, and nothing is planned, counted on or edited from the old
 * state under the new number.
 */
export const ONCE_SAVED: ByName<{
  [N in WriteName]: (show: Shown, args: Args<N>, answer: AnswerOf<N>) => unknown;
}> = {
  sayGate: (show, { jobId }, { version }) => show.job(jobId, atVersion(version)),
  withdrawGate: (show, { jobId }, { version }) => show.job(jobId, atVersion(version)),
  setPractice: (show, { jobId }, { version }) => show.job(jobId, atVersion(version)),
  setLayout: (show, { jobId, layout }, { version }) =>
    show.job(
      jobId,
      atVersion(version, () => ({ layout })),
    ),
  saveMapping: (show, { jobId, card }, { version }) =>
    show.job(
      jobId,
      atVersion(version, ({ mappings }) => ({ mappings: withCard(mappings, card) })),
    ),
  readContinuity: (show, { jobId }, { version }) => show.job(jobId, atVersion(version)),
  changeFinding: (show, { jobId, findingId, finding }, { version }) =>
    show.job(jobId, (state) => ({
      ...inJob(({ findings }) => ({ findings: findings.map((one) => (one.id === findingId ? finding : one)) }))(state),
      findingVersions: { ...state.findingVersions, [findingId]: version },
    })),
  sign: (show, { jobId }, { version }) => show.job(jobId, atVersion(version)),
  changeShelf: (show, _args, { shelfVersion }) => show.shelf((shelf) => ({ ...shelf, version: shelfVersion })),
};
