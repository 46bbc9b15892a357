import { describe, expect, it, test } from 'vitest';
import {
  HOUSING_FAMILIES,
  isInHousing,
  LOOSE_FAMILIES,
  TERMINAL_FAMILIES,
  terminalForm,
  terminalInWords,
} from './index.ts';

test.each([
  ['1.5', 'housing', '1.5 mm terminal'],
  ['pin16', 'housing', 'round pin size 16'],
  ['ringM8', 'ring', 'ring M8'],
  ['forkM4', 'fork', 'fork M4'],
  ['blade6.3', 'blade', 'blade 6.3'],
  ['bullet4', 'bullet', 'bullet 4'],
  ['ferrule10', 'ferrule', 'ferrule 10 long'],
] as const)('%s is a %s: "%s"', (family, form, words) => {
  expect(terminalForm(family)).toBe(form);
  expect(terminalInWords(family)).toBe(words);
});

describe('terminal families', () => {
  it('are in a housing or loose, each once', () => {
    expect(TERMINAL_FAMILIES).toHaveLength(HOUSING_FAMILIES.length + LOOSE_FAMILIES.length);
    expect(TERMINAL_FAMILIES.filter(isInHousing)).toEqual([...HOUSING_FAMILIES]);
  });
  it('are never called by the word that means two things', () =>
    expect(TERMINAL_FAMILIES.map(terminalInWords).join(' ')).not.toMatch(/spade/i));
});
