import { describe, expect, it, test } from 'vitest';
import { formOf } from '../terminal/index.ts';
import {
  checksAtCavity,
  GROWTH_CHECK,
  rule,
  standingOf,
  THROAT_CHECK,
  type Check,
  type ProvableAtCavity,
  type Reading,
} from './index.ts';

const TERMINAL: ProvableAtCavity = {
  terminal: {
    attach: 'crimp',
    looks: formOf('2.8').looks({ part: { name: '2.8', support: undefined }, gripsJacket: true, hasWireSeal: true }),
    seal: 'wireSeal',
    isTugged: true,
    byHand: false,
    limits: { goodMilliohm: 0.07, alarmMilliohm: 0.14, alarmFrom: 'twice the wire' },
  },
  inHousing: true,
  wireSeal: false,
  seats: true,
  soldered: false,
  pullMinimumN: 222,
};
/** Conductor and jacket crimp apart, and what may be measured of them. */
const OPEN_BARREL = ['terminal.crimp', 'terminal.jacket', 'growth', 'throat'];
const NOTHING: ProvableAtCavity = {
  inHousing: true,
  wireSeal: false,
  seats: false,
  soldered: false,
  pullMinimumN: 222,
};

describe('checks of work at a cavity', () => {
  test.each<[string, ProvableAtCavity, string[]]>([
    [
      'a terminal in a sealed housing',
      TERMINAL,
      [
        ...OPEN_BARREL,
        'tug',
        'resistance',
        'drop',
        'unmeasured',
        'samples',
        'cavity.seal',
        'cavity.seated',
        'cavity.function',
      ],
    ],
    [
      'a ring at a stud is not seated',
      { ...TERMINAL, inHousing: false, terminal: { ...TERMINAL.terminal!, seal: 'none' } },
      [...OPEN_BARREL, 'tug', 'resistance', 'drop', 'unmeasured', 'samples', 'cavity.function'],
    ],
    [
      'a ring under its sleeve, read to the stud as well',
      {
        ...TERMINAL,
        inHousing: false,
        terminal: {
          ...TERMINAL.terminal!,
          seal: 'sleeve',
          contact: { goodMilliohm: 1, alarmMilliohm: 2, alarmFrom: 'twice the good contact' },
        },
      },
      [...OPEN_BARREL, 'tug', 'resistance', 'drop', 'unmeasured', 'contact', 'seal.glue', 'samples', 'cavity.function'],
    ],
    [
      'a lug is not tugged: its die is judged by its mark',
      { ...TERMINAL, inHousing: false, terminal: { ...TERMINAL.terminal!, seal: 'none', isTugged: false } },
      [...OPEN_BARREL, 'resistance', 'drop', 'unmeasured', 'samples', 'cavity.function'],
    ],
    [
      'a soldered terminal',
      { ...TERMINAL, inHousing: false, terminal: { ...TERMINAL.terminal!, seal: 'none', attach: 'solder' } },
      ['terminal.solder', 'tug', 'resistance', 'drop', 'unmeasured', 'samples', 'cavity.function'],
    ],
    ['one that is only seated again', { ...NOTHING, seats: true }, ['cavity.seated', 'cavity.function']],
    [
      'a pin that is soldered and potted',
      { ...NOTHING, seats: true, soldered: true },
      ['pin.solder', 'cavity.seated', 'cavity.function'],
    ],
    ['a plug', NOTHING, ['cavity.function']],
  ])('%s', (_why, subject, ids) => expect(checksAtCavity(subject).map((check) => check.id)).toEqual(ids));

  it('a tug goes to half of what the wire must hold', () =>
    expect(checksAtCavity(TERMINAL).find((check) => check.kind === 'tug')).toMatchObject({
      targetN: 111,
      minimumN: 222,
    }));
  it('every look has one good answer, and says of each bad one why and what next', () => {
    for (const check of checksAtCavity({ ...TERMINAL, soldered: true })) {
      if (check.kind !== 'look') continue;
      expect(
        check.answers.filter((answer) => answer.verdict === 'pass'),
        check.id,
      ).toHaveLength(1);
      for (const answer of check.answers.filter((one) => one.verdict !== 'pass'))
        expect([answer.cause.length > 8, answer.next.length > 8], `${check.id} ${answer.value}`).toEqual([true, true]);
    }
  });
  const at = (checkId: string, value: Reading['value']): Reading => ({
    id: checkId,
    spliceId: 'F1:cavity',
    make: 1,
    checkId,
    value,
    by: 'Ines',
    at: '2030-01-01T08:00:00Z',
  });
  const checks = checksAtCavity({
    ...TERMINAL,
    seats: false,
    terminal: { ...TERMINAL.terminal!, seal: 'none' },
  }).filter(({ anyOf }) => anyOf === undefined);
  test.each<[string, string, readonly Reading[], string]>([
    ['good', 'good', [], 'passed'],
    ['flash', 'good', [], 'failed'],
    ['long', 'good', [], 'failed'],
    ['good', 'loose', [], 'failed'],
    ['good', 'cuts', [], 'failed'],
    ['good', 'good', [at('growth', { kind: 'growth', crimpedMm: 20.61, twinMm: 20 })], 'failed'],
    ['good', 'good', [at('growth', { kind: 'growth', crimpedMm: 20.6, twinMm: 20 })], 'passed'],
    ['good', 'good', [at('throat', { kind: 'throat', beyondMm: 1.6 })], 'failed'],
    ['good', 'good', [at('throat', { kind: 'throat', beyondMm: 1.5 })], 'passed'],
    // Told in one look before the two crimps were judged apart: it is looked at again.
    ['jacketLoose', 'good', [], 'unproved'],
  ])('a conductor crimp that looks %s, a jacket crimp %s, %j: %s', (crimp, jacket, measured, standing) => {
    const readings = [
      at('terminal.crimp', { kind: 'look', answer: crimp }),
      at('terminal.jacket', { kind: 'look', answer: jacket }),
      at('tug', { kind: 'tug', newtons: 111, held: true }),
      at('cavity.function', { kind: 'look', answer: 'good' }),
      ...measured,
    ];
    expect(standingOf(checks, readings).standing).toBe(standing);
  });
  it('a pin without jacket wings has no jacket crimp to judge', () => {
    const looks = formOf('2.8').looks({
      part: { name: '2.8', support: undefined },
      gripsJacket: false,
      hasWireSeal: false,
    });
    expect(looks.map(({ id }) => id)).toEqual(['terminal.crimp', 'growth', 'throat']);
  });
});

describe('what is measured of an open barrel', () => {
  const growth = (crimpedMm: number): Reading['value'] => ({ kind: 'growth', crimpedMm, twinMm: 20 });
  const throat = (beyondMm: number): Reading['value'] => ({ kind: 'throat', beyondMm });
  test.each<[string, Check, Reading['value'], string, boolean]>([
    ['as long as its twin', GROWTH_CHECK, growth(20), 'pass', false],
    ['1 % longer', GROWTH_CHECK, growth(20.2), 'pass', false],
    ['over 1 %', GROWTH_CHECK, growth(20.21), 'pass', true],
    ['3 % longer', GROWTH_CHECK, growth(20.6), 'pass', true],
    ['over 3 %', GROWTH_CHECK, growth(20.61), 'scrap', false],
    ['1 % shorter, as measured', GROWTH_CHECK, growth(19.8), 'pass', false],
    ['shorter than that cannot be', GROWTH_CHECK, growth(19.79), 'open', false],
    ['no brush', THROAT_CHECK, throat(0), 'scrap', false],
    ['a short brush', THROAT_CHECK, throat(0.49), 'pass', true],
    ['the least brush', THROAT_CHECK, throat(0.5), 'pass', false],
    ['the longest brush', THROAT_CHECK, throat(1), 'pass', false],
    ['a long brush', THROAT_CHECK, throat(1.01), 'pass', true],
    ['at the throat', THROAT_CHECK, throat(1.5), 'pass', true],
    ['past the throat', THROAT_CHECK, throat(1.51), 'rework', false],
  ])('%s', (_, check, value, verdict, watch) => expect(rule(check, value)).toMatchObject({ verdict, watch }));
  it('a length of nothing is no length', () => {
    expect(() => rule(GROWTH_CHECK, { kind: 'growth', crimpedMm: 20, twinMm: 0 })).toThrow(/uncrimped one of 0 mm/);
    expect(() => rule(THROAT_CHECK, throat(30.1))).toThrow(/wire end of 30\.1 mm/);
  });
});
