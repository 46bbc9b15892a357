import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { SHORT_FORMS } from './colourSystems.ts';
import { COLOURS, colourInWords, judgeColourSystem, readColour, type ColourSystem } from './index.ts';

const said = (text: string, system?: ColourSystem): string => {
  const reading = readColour(text, system);
  if (reading.kind === 'read') return colourInWords(reading.colour);
  return reading.kind === 'ask' ? `? ${reading.mayBe.map(colourInWords).sort().join(' | ')}` : '-';
};

describe('a colour as it is printed', () => {
  test.each([
    ['red', undefined, 'red'],
    ['Red with black stripe', undefined, 'red with black stripe'],
    ['BLUE/WHITE', undefined, 'blue with white stripe'],
    ['yellow w/ red tracer', undefined, 'yellow with red stripe'],
    ['light green', undefined, 'light green'],
    ['Purple', undefined, 'violet'],
    ['gray', undefined, 'grey'],
    ['red red', undefined, 'red'],
    ['RD/BK', 'iec', 'red with black stripe'],
    ['RDBK', 'iec', 'red with black stripe'],
    ['GNYE', 'iec', 'green with yellow stripe'],
    ['GY', 'iec', 'grey'],
    ['vt', 'iec', 'violet'],
    ['BU-WH', 'iec', 'blue with white stripe'],
    ['BLK/YEL', 'threeLetter', 'black with yellow stripe'],
    ['LT BLU', 'threeLetter', 'light blue'],
    ['DK GRN/ORG', 'threeLetter', 'dark green with orange stripe'],
    ['PPL', 'threeLetter', 'violet'],
    ['sw/ge', 'german', 'black with yellow stripe'],
    ['BL', 'german', 'blue'],
    ['grün', 'german', 'green'],
    ['rtws', 'german', 'red with white stripe'],
    ['GR', 'german', 'grey'],
    ['L', 'japanese', 'blue'],
    ['B', 'japanese', 'black'],
    ['W/L', 'japanese', 'white with blue stripe'],
    ['GY', 'japanese', 'green with yellow stripe'],
    ['LgB', 'japanese', 'light green with black stripe'],
    ['BrY', 'japanese', 'brown with yellow stripe'],
    ['Sb', 'japanese', 'light blue'],
  ] as const)('%s under %s is %s', (text, system, words) => expect(said(text, system)).toBe(words));

  test.each([
    ['B', '? black | blue | brown'],
    ['G', '? green | grey'],
    ['BL', '? black | black with blue stripe | blue'],
    ['GR', '? green | grey'],
    ['GY', '? green with yellow stripe | grey'],
    ['W/B', '? white with black stripe | white with blue stripe | white with brown stripe'],
    ['BK', 'black'],
    ['SW', 'black'],
    ['BR', 'brown'],
    ['plaid', '-'],
    ['red/white/blue', '-'],
    ['', '-'],
  ])('without a system %j is %s', (text, words) => expect(said(text)).toBe(words));

  it('says in which system a word would be read when it is not in the one given', () => {
    expect(readColour('SW', 'iec')).toMatchObject({
      kind: 'unread',
      why: 'It is not read in IEC 60757 two-letter codes; it would be in German short forms.',
    });
  });
  test('every form of every system is read under it, alone and with every stripe, however it is cased', () => {
    const pair = fc
      .constantFrom(...(Object.keys(SHORT_FORMS) as (keyof typeof SHORT_FORMS)[]))
      .chain((system) =>
        fc.tuple(
          fc.constant(system),
          fc.constantFrom(...Object.entries(SHORT_FORMS[system])),
          fc.constantFrom(...Object.entries(SHORT_FORMS[system])),
          fc.constantFrom('/', '-', ' / '),
        ),
      );
    fc.assert(
      fc.property(pair, ([system, [base, baseName], [stripe, stripeName], between]) => {
        expect(said(base.toLowerCase(), system)).toBe(baseName);
        expect(said(`${base}${between}${stripe}`, system)).toBe(
          baseName === stripeName ? baseName : `${baseName} with ${stripeName} stripe`,
        );
      }),
    );
  });
  test('our own words are read under every system', () => {
    for (const colour of COLOURS) expect(said(colour)).toBe(colour);
  });
});

describe('one system for a whole list', () => {
  test.each([
    [['RD/BK', 'GN', 'BU', 'WH'], 'iec'],
    [['BLK', 'WHT/RED', 'TAN'], 'threeLetter'],
    [['SW', 'BL', 'RT/WS', 'GN'], 'german'],
    [['B', 'W', 'L', 'G/Y'], 'japanese'],
    [['B', 'Lg', 'R'], 'japanese'],
    [['red', 'black/white'], 'words'],
    [['GN', 'BR', 'OR'], 'german'],
    [['RD', 'BK', 'plaid'], 'iec'],
    [['BLK', 'GRY', 'ORG'], 'threeLetter'],
  ] as const)('%j is %s', (texts, system) => expect(judgeColourSystem(texts).system).toBe(system));
  test.each([[['B', 'R', 'W']], [['G']], [['BL', 'red']], [['W/B', 'R']]])(
    '%j is asked: nothing in it tells',
    (texts) => {
      const verdict = judgeColourSystem(texts);
      expect(verdict.system).toBeUndefined();
      expect(verdict.because).toContain('Choose the system');
    },
  );
  it('shows what speaks for it', () => {
    const verdict = judgeColourSystem(['SW', 'BL', 'rot']);
    expect(verdict.because).toContain('German short forms: it reads 3 of 3');
    expect(verdict.because).toContain('“SW”');
    expect(verdict.evidence[0]).toMatchObject({ system: 'german', reads: 3, of: 3, unread: [] });
  });
});
