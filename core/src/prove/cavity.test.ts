import { describe, expect, it, test } from 'vitest';
import { formOf } from '../terminal/index.ts';
import { checksAtCavity, standingOf, type ProvableAtCavity, type Reading } from './index.ts';

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
        'terminal.crimp',
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
      ['terminal.crimp', 'tug', 'resistance', 'drop', 'unmeasured', 'samples', 'cavity.function'],
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
      [
        'terminal.crimp',
        'tug',
        'resistance',
        'drop',
        'unmeasured',
        'contact',
        'seal.glue',
        'samples',
        'cavity.function',
      ],
    ],
    [
      'a lug is not tugged: its die is judged by its mark',
      { ...TERMINAL, inHousing: false, terminal: { ...TERMINAL.terminal!, seal: 'none', isTugged: false } },
      ['terminal.crimp', 'resistance', 'drop', 'unmeasured', 'samples', 'cavity.function'],
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
  test.each([
    ['good', 'passed'],
    ['flash', 'failed'],
    ['long', 'failed'],
  ])('a crimp that looks %s: %s', (answer, standing) => {
    const checks = checksAtCavity({
      ...TERMINAL,
      seats: false,
      terminal: { ...TERMINAL.terminal!, seal: 'none' },
    }).filter(({ anyOf }) => anyOf === undefined);
    const at = (checkId: string, value: Reading['value']): Reading => ({
      id: checkId,
      spliceId: 'F1:cavity',
      make: 1,
      checkId,
      value,
      by: 'Ines',
      at: '2030-01-01T08:00:00Z',
    });
    const readings = [
      at('terminal.crimp', { kind: 'look', answer }),
      at('tug', { kind: 'tug', newtons: 111, held: true }),
      at('cavity.function', { kind: 'look', answer: 'good' }),
    ];
    expect(standingOf(checks, readings).standing).toBe(standing);
  });
});
