import { describe, expect, it } from 'vitest';
import { layoutSchema } from './jobSchemas.ts';

const said = (chosen: object): string =>
  layoutSchema.validate({ chosen: [chosen] }, { convert: false }).error?.message ?? 'taken';

describe('a layout that is taken for a run', () => {
  it.each([
    ['wide', { runId: 'R1', kind: 'wide' }],
    ['even, its bodies touching', { runId: 'R1', kind: 'even', apartMm: 0 }],
    ['even, as far apart as may be said', { runId: 'R1', kind: 'even', apartMm: 2000 }],
    ['short', { runId: 'R1', kind: 'short' }],
  ])('%s', (_what, chosen) => expect(said(chosen)).toBe('taken'));
  it.each([
    ['of no kind that there is', { runId: 'R1', kind: 'narrow' }, 'kind'],
    ['of no kind', { runId: 'R1' }, 'kind'],
    ['of no run', { kind: 'even' }, 'runId'],
    ['with less than nothing between bodies', { runId: 'R1', kind: 'even', apartMm: -0.1 }, 'apartMm'],
    ['with more than 2000 between bodies', { runId: 'R1', kind: 'even', apartMm: 2000.1 }, 'apartMm'],
  ])('%s is refused, and the field is named', (_what, chosen, field) => expect(said(chosen)).toContain(field));
});
