import { describe, expect, it, test } from 'vitest';
import { FAMILIES } from '@mendum/core/family';
import { GLYPHS } from './index.ts';

const LOOKS = FAMILIES.flatMap(({ words, glyph, proof }) =>
  [true, false].flatMap((tinLead) =>
    proof
      .looks({ tinLead })
      .flatMap((check) =>
        check.kind === 'look'
          ? check.answers.map(({ value }): [string, typeof glyph, string] => [words, glyph, `${check.id} ${value}`])
          : [],
      ),
  ),
);

describe('every family is drawn', () => {
  test.each(LOOKS)('%s (%s): %s', (_family, glyph, look) => expect(GLYPHS[glyph].looks[look]).toBeDefined());
  it('a family whose methods crimp draws its crimp', () => {
    for (const { words, glyph, joins } of FAMILIES)
      if (joins === 'crimp') expect(GLYPHS[glyph].crimpStep, words).toBeDefined();
  });
  it('no picture is of a look that nobody asks', () => {
    const asked = new Set(LOOKS.map(([, , look]) => look));
    expect(Object.values(GLYPHS).flatMap(({ looks }) => Object.keys(looks).filter((look) => !asked.has(look)))).toEqual(
      [],
    );
  });
});
