import { figure } from '../../units/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import { pass } from '../looks.ts';

/** The height of a conductor crimp, against the figure that belongs to the part. */
interface HeightCheck extends CheckBase {
  readonly toleranceMm: number;
}

/** Copper up to which a height is judged, mm²; heavier dies are judged by their own mark. */
export const HEIGHT_MOST_MM2 = 10;

/** Tolerance of a crimp height by its copper, mm: ± 0.05 to 1.5 mm², ± 0.08 to 4, ± 0.13 to 10. Source: numbers, Acceptance. */
const heightToleranceMm = (areaMm2: number): number => (areaMm2 <= 1.5 ? 0.05 : areaMm2 <= 4 ? 0.08 : 0.13);

const length = { type: 'number', unit: 'mm', from: 0, fromIsAllowed: false, to: 30 } as const;

export const height = readingKind({
  kind: 'height',
  fields: {
    heightMm: { ...length, words: 'A crimp height' },
    wantedMm: { ...length, words: 'The height that the part wants' },
  },
  rule: ({ toleranceMm }: HeightCheck, { heightMm, wantedMm }) => {
    const off = heightMm - wantedMm;
    const reads = `${figure(heightMm, 2)} mm of ${figure(wantedMm, 2)} ± ${figure(toleranceMm, 2)}`;
    if (off > toleranceMm + 1e-9)
      return {
        verdict: 'scrap',
        watch: false,
        cause: `${reads}: too high, the copper is loose.`,
        next: 'Cut it off; close the setting or take the right nest before the next one.',
      };
    if (off < -toleranceMm - 1e-9)
      return {
        verdict: 'scrap',
        watch: false,
        cause: `${reads}: too low, over-crimped.`,
        next: 'Cut it out; open the setting before the next one.',
      };
    return pass(`${reads}: within its tolerance.`);
  },
  words: ({ heightMm, wantedMm }) => `${figure(heightMm, 2)} mm, wanted ${figure(wantedMm, 2)}`,
});

/** The height of a conductor crimp. @param areaMm2 its copper, up to {@link HEIGHT_MOST_MM2} */
export const heightCheck = (areaMm2: number): HeightCheck & { readonly kind: 'height' } => ({
  id: 'height',
  kind: 'height',
  required: false,
  title: 'Crimp height',
  how: 'A crimp micrometer over the middle of the conductor crimp, and the figure that belongs to this part and tool.',
  toleranceMm: heightToleranceMm(areaMm2),
});
