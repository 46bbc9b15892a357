import { vi } from 'vitest';
import { plan } from '@mendum/core/plan';
import * as planning from '../app/planner.ts';

/** Plans where the test runs, since there is no worker there. */
export function standInPlanner(): void {
  vi.spyOn(planning, 'thePlanner').mockReturnValue({
    plan: (...of: Parameters<typeof plan>) => Promise.resolve().then(() => plan(...of)),
  } as unknown as ReturnType<typeof planning.thePlanner>);
}
