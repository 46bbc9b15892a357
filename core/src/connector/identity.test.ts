import { describe, expect, it, test } from 'vitest';
import { identityInWords, namesAgree, releaseToolInWords } from './index.ts';

describe('what is printed on a connector', () => {
  test.each([
    ['KD-4', 'kd 4', true],
    ['KD-4', 'KD-40', false],
    ['Ö 12', 'ö12', true],
    [undefined, 'KD', undefined],
    ['KD', undefined, undefined],
  ])('%s and %s: %s', (one, other, agree) => expect(namesAgree(one, other)).toBe(agree));
  it('is said in the order in which a part is looked for', () => {
    expect(identityInWords({ partNumber: 'KD-4-112', keying: 'B', family: 'KD' })).toBe(
      'family KD, keying B, KD-4-112',
    );
    expect(identityInWords({})).toBe('');
  });
  test.each([
    [{}, undefined],
    [{ releaseTool: 'Blade tool' }, 'Blade tool'],
    [{ releaseToolNumber: 'BT-20' }, 'Release tool, BT-20'],
    [{ releaseTool: 'Blade tool', releaseToolNumber: 'BT-20' }, 'Blade tool, BT-20'],
  ])('the release tool of %o: %s', (identity, words) => expect(releaseToolInWords(identity)).toBe(words));
});
