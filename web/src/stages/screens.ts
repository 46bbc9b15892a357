import type { ComponentType } from 'react';
import type { StageName } from '@mendum/core/operations';

/** Each stage's screen, which comes when it is opened, or ahead of that. */
export const SCREENS: Record<StageName, () => Promise<{ readonly default: ComponentType }>> = {
  survey: async () => ({ default: (await import('./survey/SurveyStage.tsx')).SurveyStage }),
  decide: async () => ({ default: (await import('./decide/DecideStage.tsx')).DecideStage }),
  layout: async () => ({ default: (await import('./layout/LayoutStage.tsx')).LayoutStage }),
  bench: async () => ({ default: (await import('./bench/BenchStage.tsx')).BenchStage }),
  prove: async () => ({ default: (await import('./prove/ProveStage.tsx')).ProveStage }),
  record: async () => ({ default: (await import('./record/RecordStage.tsx')).RecordStage }),
};
