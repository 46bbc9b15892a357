import { describe, expect, it, test } from 'vitest';
import { jobWith, planOf, WET_SHAKING } from '../test/samples.ts';
import { ledgerInWords, slackLedger } from './index.ts';

describe('the account of a wire in words', () => {
  const words = (slackMm: number | undefined): string => {
    const job = jobWith([{ kind: 'parted', fromMm: 500, toMm: 504, slackMm }], { zone: WET_SHAKING });
    const all = planOf(job);
    return ledgerInWords(slackLedger(job, all, all.findings[0]!));
  };
  test.each([
    [0, 'New wire goes in, so no slack is drawn on: a mishap costs new wire.'],
    [4, 'None left: the next mishap means an insert.'],
    [8, '4 mm left: the next mishap means an insert.'],
    [12.9, '9 mm left: the next mishap means an insert.'],
    [13, '9 mm left: enough to strip one end again, not for a redo.'],
    [42.9, '39 mm left: enough to strip one end again, not for a redo.'],
    [43, 'Enough for one redo.'],
    [92, 'Enough for 2 redos.'],
  ])('%d mm of slack, 4 lost', (slackMm, said) => expect(words(slackMm)).toBe(said));
  it('two findings on one wire draw on one account, and each sees the other', () => {
    const job = jobWith(
      [
        { kind: 'parted', fromMm: 200, toMm: 204, slackMm: 30 },
        { kind: 'parted', fromMm: 800, toMm: 806, slackMm: 30 },
      ],
      { zone: WET_SHAKING },
    );
    const all = planOf(job);
    const ledgers = all.findings.map((finding) => slackLedger(job, all, finding));
    expect(ledgers.map(({ leftMm }) => leftMm)).toEqual([20, 20]);
    expect(ledgers[0]?.lines.map(({ findingId, what, mm }) => [findingId, what, mm])).toEqual([
      ['F1', 'lost', 4],
      ['F2', 'lost', 6],
    ]);
  });
});
