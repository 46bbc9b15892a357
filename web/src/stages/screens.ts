import { lazy, type ComponentType } from 'react';
import type { StageName } from '@mendum/core/operations';

const IMPORTS: Record<StageName, () => Promise<{ readonly default: ComponentType }>> = {
  survey: async () => ({ default: (await import('./survey/SurveyStage.tsx')).SurveyStage }),
  decide: async () => ({ default: (await import('./decide/DecideStage.tsx')).DecideStage }),
  layout: async () => ({ default: (await import('./layout/LayoutStage.tsx')).LayoutStage }),
  bench: async () => ({ default: (await import('./bench/BenchStage.tsx')).BenchStage }),
  prove: async () => ({ default: (await import('./prove/ProveStage.tsx')).ProveStage }),
  record: async () => ({ default: (await import('./record/RecordStage.tsx')).RecordStage }),
};

const asked = new Set<StageName>();
const whenAsked = (stage: StageName): ComponentType =>
  lazy(() => {
    asked.add(stage);
    return IMPORTS[stage]();
  });

/** Each stage's screen. What has come before it was asked for is shown at once, with nothing in between. */
export const SCREENS: Record<StageName, ComponentType> = {
  survey: whenAsked('survey'),
  decide: whenAsked('decide'),
  layout: whenAsked('layout'),
  bench: whenAsked('bench'),
  prove: whenAsked('prove'),
  record: whenAsked('record'),
};

/** Fetches a stage's screen ahead. */
export async function fetchScreen(stage: StageName): Promise<void> {
  const { default: screen } = await IMPORTS[stage]();
  // One that is on the page stays what it is, or it would begin anew.
  if (!asked.has(stage)) SCREENS[stage] = screen;
}
