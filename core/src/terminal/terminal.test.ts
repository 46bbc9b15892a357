import { describe, expect, it, test } from 'vitest';
import { END_USES, TERMINAL_FAMILIES, terminalForm, type EndUse, type TerminalForm } from '../harness/index.ts';
import { FORMS } from './forms/index.ts';
import { bodyOf, formOf, TERMINAL, TERMINAL_TOOLS } from './index.ts';

describe('every form of terminal', () => {
  test.each(Object.entries(FORMS))('%s says what it is made for, and why not for the rest', (name, form) => {
    expect(form.form).toBe(name);
    const made = END_USES.filter((use) => form.serves[use] === 0);
    expect(made.length).toBeGreaterThan(0);
    for (const use of END_USES) {
      const serves = form.serves[use];
      if (typeof serves === 'string') expect(serves).toMatch(/^[A-Z].*\.$/);
    }
  });
  test.each<[EndUse, readonly TerminalForm[]]>([
    ['housing', ['housing']],
    ['stays', ['ring', 'lug']],
    ['screwStays', ['fork']],
    ['parted', ['bullet']],
    ['tab', ['blade']],
    ['clamp', ['ferrule']],
  ])('%s is what %s are made for', (use, forms) =>
    expect(
      Object.values(FORMS)
        .filter(({ serves }) => serves[use] === 0)
        .map(({ form }) => form),
    ).toEqual(forms),
  );
});

describe('every family of terminal', () => {
  test.each([...TERMINAL_FAMILIES])('%s has usual parts, a tool for each, looks and a crimp in words', (family) => {
    const parts = TERMINAL.usual.filter((part) => part.family === family);
    expect(parts.length).toBeGreaterThan(0);
    const form = formOf(family);
    expect(form.form).toBe(terminalForm(family));
    for (const part of parts) {
      const tool = TERMINAL_TOOLS.find(
        ({ families, range }) =>
          families?.includes(family) &&
          range &&
          range.minMm2 <= part.range.minMm2 * 1.02 &&
          range.maxMm2 * 1.02 >= part.range.maxMm2,
      );
      expect(tool, part.name).toBeDefined();
      expect(part.stripMm).toBeGreaterThan(0);
      const work = { part, gripsJacket: part.jacketMm !== undefined, hasWireSeal: false };
      const [crimp] = form.looks(work);
      expect(crimp?.id).toMatch(/^(terminal|closedBarrel|lug|ferrule)\.crimp$/);
      expect(form.crimp(work)).toContain(part.name);
    }
  });
});

describe('a second crimp is asked of metal under the support, and of that only', () => {
  const part = TERMINAL.usual.find(({ family }) => family === 'ringM6');
  if (!part) throw new Error('no ring');
  const ofRing = formOf('ringM6');
  it.each([
    ['metal', true],
    ['plastic', false],
    [undefined, false],
  ] as const)('%s: %s', (support, second) => {
    const work = { part: { ...part, support }, gripsJacket: false, hasWireSeal: false };
    expect(ofRing.crimp(work).includes('second crimp over the jacket')).toBe(second);
    expect(JSON.stringify(ofRing.looks(work)).includes('one on the jacket')).toBe(second);
  });
});

it('what a barrel has round it: as the part says, else as is usual for its form', () => {
  expect(bodyOf({ family: 'ringM6' })).toBe('insulated');
  expect(bodyOf({ family: 'ringM6', body: 'bare' })).toBe('bare');
  expect(bodyOf({ family: 'lugM8' })).toBe('bare');
  expect(bodyOf({ family: '2.8' })).toBe('bare');
});

describe('from the wire to the mating contact a good one reads up to', () => {
  it.each([
    ['0.64', 15],
    ['1.5', 10],
    ['pin20', 10],
    ['2.8', 5],
    ['pin16', 5],
    ['blade2.8', 5],
    ['blade4.8', 5],
    ['blade6.3', 3],
    ['6.3', 3],
    ['pin12', 3],
    ['blade9.5', 3],
    ['ringM6', 1],
    ['forkM5', 1],
    ['lugM10', 1],
    ['ferrule8', undefined],
  ] as const)('%s: %s mΩ', (family, milliohm) => expect(formOf(family).contactMilliohm(family)).toBe(milliohm));
});
