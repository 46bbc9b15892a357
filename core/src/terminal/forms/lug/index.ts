import type { TerminalFamily } from '../../../harness/index.ts';
import { bad, CUT_OUT, good, look } from '../../../prove/index.ts';
import { usual, type TerminalPart } from '../../../stock/index.ts';
import { named } from '../../closedBarrel.ts';
import { ON_STUD_MILLIOHM, underScrew } from '../../studs.ts';
import type { Form } from '../../types.ts';

/** A lug holds copper this far off the size that is stamped on it. Source: numbers, joints, as a heavy barrel. */
const OFF_SHARE = 0.08;
/** Strip beyond the barrel, mm. Source: numbers, joints. */
const STRIP_MORE_MM = 2;

/** Size in mm², barrel length and thickness crimped, mm. Source: numbers, joints. */
const SIZES: readonly (readonly [number, number, number])[] = [
  [8, 11, 6.3],
  [10, 12, 7],
  [13, 13, 7.8],
  [16, 14, 8.5],
  [20, 15, 9.2],
  [25, 16, 10],
  [35, 18, 12],
  [50, 20, 14],
  [70, 22, 16],
  [85, 23, 17.5],
  [95, 24, 18.5],
  [107, 26, 20],
];
const FAMILIES = ['lugM6', 'lugM8', 'lugM10', 'lugM12'] as const satisfies readonly TerminalFamily[];

const to3 = (value: number): number => Math.round(value * 1000) / 1000;

/** Compression lugs: the rings of heavy cable. */
export const lug: Form = {
  form: 'lug',
  nestBy: 'barrel',
  body: 'bare',
  serves: {
    stays: 0,
    screwStays: 'A lug has to be taken off its stud.',
    parted: 'A lug is unscrewed each time; heavy cable is parted by a connector for it.',
    tab: 'A lug does not go on a tab.',
    clamp: 'A lug does not go into a screw clamp.',
    housing: 'A lug sits in no housing.',
  },
  solid: { refused: 'A compression lug is for strands.' },
  sealing: 'sleeve',
  soldered: { refused: 'A soldered lug lets go when it runs hot; a pressed one does not.' },
  contactMilliohm: () => ON_STUD_MILLIOHM,
  crimpMistake: 'A die one size off: it closes, and the cable pulls out under load.',
  crimp: ({ part }) =>
    `${part.name}: strands in to the end of the barrel, 2 mm of copper seen before it. Die of this size, hexagonal or indent. Press beside the tongue first, then towards the wire. Close until the dies meet or the pump lets go.`,
  fasten: (family) => underScrew(family, 'lug'),
  isTugged: false,
  looks: () => [
    look('lug.crimp', 'Lug', 'From the side; look for the die’s mark.', [
      good('Size of the die stamped in, copper seen to the end of the barrel, tongue straight'),
      bad('scrap', 'die', 'Another size stamped in, or none', 'Wrong die, or not closed to its end.', CUT_OUT),
      bad(
        'scrap',
        'strands',
        'Strands outside or cut off to fit',
        'Lug too small.',
        `${CUT_OUT} A lug of the cable’s size.`,
      ),
      bad('scrap', 'split', 'Split or cracked', 'Pressed twice, or on its seam.', CUT_OUT),
    ]),
  ],
  usual: FAMILIES.flatMap((family) =>
    SIZES.map(([mm2, barrelLengthMm, barrelOuterMm]): TerminalPart => ({
      ...usual,
      kind: 'terminal',
      family,
      id: `terminal-${family}-${mm2}`,
      name: `${named(family)}, ${mm2} mm²`,
      range: { minMm2: to3(mm2 * (1 - OFF_SHARE)), maxMm2: to3(mm2 * (1 + OFF_SHARE)) },
      stripMm: barrelLengthMm + STRIP_MORE_MM,
      body: 'bare',
      barrelLengthMm,
      barrelOuterMm,
      ratedC: 200,
    })),
  ),
  tools: [
    {
      id: 'tool-lugHand',
      name: 'Long-handled crimper, lugs to 20 mm²',
      tasks: ['crimpTerminal'],
      range: { minMm2: 7.3, maxMm2: 21.6 },
      families: FAMILIES,
      ratchet: true,
    },
    {
      id: 'tool-lugHydraulic',
      name: 'Hand hydraulic press, lugs from 25 mm²',
      tasks: ['crimpTerminal'],
      range: { minMm2: 22, maxMm2: 116 },
      families: FAMILIES,
      ratchet: true,
    },
  ],
};
