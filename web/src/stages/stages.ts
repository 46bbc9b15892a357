import type { StageName } from '@mendum/core/operations';

/** The six stages in their order; keys 1 to 6. */
export const STAGES: readonly { readonly name: StageName; readonly title: string }[] = [
  { name: 'survey', title: 'Survey' },
  { name: 'decide', title: 'Decide' },
  { name: 'layout', title: 'Lay out' },
  { name: 'bench', title: 'Bench' },
  { name: 'prove', title: 'Prove' },
  { name: 'record', title: 'Record' },
];

export const isStage = (word: string | undefined): word is StageName => STAGES.some((stage) => stage.name === word);
