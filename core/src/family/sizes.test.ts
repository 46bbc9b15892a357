import { describe, expect, test } from 'vitest';
import { totalFits } from '../sizing/index.ts';
import { facts } from '../test/samples.ts';
import { CLIP, sizeOfClip } from './openClip/parts.ts';
import { SOLDER_SLEEVE } from './solderSleeve/parts.ts';
import { solderSleeveFits } from './solderSleeve/solderSleeve.ts';

describe('sizes of clips and of solder-and-seal sleeves', () => {
  test.each([
    [2.5, 2.5, 'XL'],
    [0.5, 0.5, 'S'],
    [1, 1, 'M'],
    [1, 4, 'XL'],
    [1.5, 1.5, 'L'],
  ])('clip for %f + %f mm² is %s', (left, right, mark) => {
    expect(totalFits(CLIP.usual, facts(left).areaMm2 + facts(right).areaMm2, sizeOfClip)[0]?.id).toBe(`clip-${mark}`);
  });
  test.each([
    [0.35, 'solderSleeve-0.2–0.52'],
    [0.5, 'solderSleeve-0.2–0.52'],
    [0.75, 'solderSleeve-0.5–1.5'],
    [2.5, 'solderSleeve-1.5–3.4'],
    [4, 'solderSleeve-3.4–6'],
  ])('solder-and-seal for %f mm²: %s', (area, id) =>
    expect(solderSleeveFits(SOLDER_SLEEVE.usual, { left: [facts(area)], right: [facts(area)] })[0]?.id).toBe(id),
  );
});
