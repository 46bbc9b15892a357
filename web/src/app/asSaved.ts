import type { Finding, LayoutWishes, MappingCard } from '@mendum/core';
import type { JobView } from '@mendum/core/interchange';

/**
 * A job as it is once a write has been answered and before it is read again: the new version with what was saved, so that nothing is
 * planned or edited from the old state under the new number.
 * @param path of the write, below /jobs/:id
 */
export function asSaved(
  view: JobView,
  { path, body }: { readonly path: string; readonly body: Readonly<Record<string, unknown>> },
  version: number,
): JobView {
  const findingId = /\/findings\/([^/]+)$/.exec(path)?.[1];
  if (findingId !== undefined) {
    const finding = body.finding as Finding | undefined;
    return {
      ...view,
      job: {
        ...view.job,
        findings: view.job.findings.map((one) => (one.id === findingId && finding ? finding : one)),
      },
      findingVersions: { ...view.findingVersions, [findingId]: version },
    };
  }
  // The version in the answer to a new finding is the finding's own.
  if (path.endsWith('/findings')) return view;
  const job = path.endsWith('/layout')
    ? { ...view.job, layout: body.layout as LayoutWishes }
    : /\/mappings\/[^/]+$/.test(path)
      ? { ...view.job, mappings: withCard(view.job.mappings, body.card as MappingCard) }
      : view.job;
  return { ...view, version, job };
}

const withCard = (cards: readonly MappingCard[] = [], card: MappingCard): readonly MappingCard[] =>
  cards.some(({ nodeId }) => nodeId === card.nodeId)
    ? cards.map((one) => (one.nodeId === card.nodeId ? card : one))
    : [...cards, card];
