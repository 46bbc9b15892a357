import { describe, expect, test } from 'vitest';
import type { FindingPlan } from '@mendum/core/plan';
import type { WireColour } from '@mendum/core/wire';
import { coloursAt } from './coloursAt.ts';

const OWN: WireColour = { base: 'red' };
const NEW: WireColour = { base: 'brown' };
const insert = { wire: { wire: { colour: NEW } } } as FindingPlan['insert'];
const lost = (fromMm: number) => ({ fromMm, toMm: fromMm + 20 });

describe('the wires that meet in a splice', () => {
  test.each([
    ['one splice joins its own wire', { insert: undefined, isLead: false, lost: lost(300) }, 'only', 'red red'],
    ['left of an insert', { insert, isLead: false, lost: lost(300) }, 'left', 'red brown'],
    ['right of an insert', { insert, isLead: false, lost: lost(300) }, 'right', 'brown red'],
    ['a lead from the run’s start', { insert, isLead: true, lost: lost(0) }, 'only', 'brown red'],
    ['a lead from its end', { insert, isLead: true, lost: lost(980) }, 'only', 'red brown'],
  ] as const)('%s', (_why, plan, side, words) => {
    const { left, right } = coloursAt(plan, { side }, OWN);
    expect(`${left.base} ${right.base}`).toBe(words);
  });
});
