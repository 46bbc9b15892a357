import { bad, CUT_OUT, good, look } from '../../../prove/index.ts';
import { usual, type TerminalPart } from '../../../stock/index.ts';
import type { Form } from '../../types.ts';

/** Ferrules are made for one size each; the next smaller wire is loose in it, mm². */
const SIZES_MM2 = [0.5, 0.75, 1, 1.5, 2.5, 4, 6];
/** The thinnest wire that the smallest one holds, mm². */
const THINNEST_MM2 = 0.34;

const SOLDERED = 'Solder creeps under a screw, and the clamp works loose.';

/** Ferrules, for screw clamps. */
export const ferrule: Form = {
  form: 'ferrule',
  nestBy: 'copper',
  body: 'insulated',
  serves: {
    clamp: 0,
    stays: 'A ferrule goes under no stud.',
    screwStays: 'A ferrule goes into a clamp, not under a screw’s head.',
    parted: 'A ferrule is unscrewed each time; a bullet is pulled apart.',
    tab: 'A ferrule does not go on a tab.',
    housing: 'A ferrule sits in no housing.',
  },
  solid: { refused: 'Solid wire goes under a screw clamp bare: a ferrule is for strands.' },
  sealing: { refused: 'A screw clamp is open, and a ferrule in it cannot be sealed: it belongs inside a dry box.' },
  soldered: { refused: SOLDERED },
  contactMilliohm: () => undefined,
  crimpMistake: 'Pressed on its collar it holds nothing.',
  crimp: ({ part }) =>
    `${part.name}: all strands in, level with its end. Press on its metal, never on its collar, in the nest of its size.`,
  fasten: () => ({
    title: 'Clamp the ferrule',
    detail: 'Metal all the way in, collar against the clamp, torque as the maker says. Pull.',
    mistake: 'Clamped on its collar: tight at first, then loose.',
  }),
  isTugged: true,
  looks: () => [
    look('ferrule.crimp', 'Ferrule', 'From its end and from the side.', [
      good('Strands level with its end, pressed on its metal all along'),
      bad('scrap', 'collar', 'Pressed on its collar', 'In the die the wrong way.', CUT_OUT),
      bad(
        'scrap',
        'strands',
        'Strands beside it, or not to its end',
        'A strand astray, or stripped too short.',
        CUT_OUT,
      ),
      bad('scrap', 'turns', 'Turns on the wire', 'Nest too large.', CUT_OUT),
    ]),
  ],
  usual: ([8, 10] as const).flatMap((long) =>
    SIZES_MM2.map((areaMm2, index): TerminalPart => ({
      ...usual,
      kind: 'terminal',
      family: `ferrule${long}`,
      id: `terminal-ferrule${long}-${areaMm2}`,
      name: `Ferrule ${areaMm2} mm², ${long} long`,
      range: { minMm2: ((SIZES_MM2[index - 1] ?? THINNEST_MM2) + areaMm2) / 2, maxMm2: areaMm2 },
      stripMm: long,
      ratedC: 105,
    })),
  ),
  tools: [],
};
