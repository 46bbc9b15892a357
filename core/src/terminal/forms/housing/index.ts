import { HOUSING_FAMILIES, type TerminalFamily } from '../../../harness/index.ts';
import { usual, type TerminalPart } from '../../../stock/index.ts';
import { named } from '../../closedBarrel.ts';
import { openBarrelChecks } from '../../looks.ts';
import type { Form } from '../../types.ts';

/**
 * Copper, jacket and strip by family, mm² and mm; copper is the trade's, jackets and strips are ours until a shop
 * enters what is printed on its reels.
 */
const inHousing = (
  family: TerminalFamily,
  range: readonly [number, number],
  jacketMm: readonly [number, number],
  stripMm: number,
): TerminalPart => ({
  ...usual,
  kind: 'terminal',
  family,
  id: `terminal-${family}`,
  name: named(family),
  range: { minMm2: range[0], maxMm2: range[1] },
  jacketMm: { minMm: jacketMm[0], maxMm: jacketMm[1] },
  stripMm,
  ratedC: 125,
});

/** Good from the wire to the mating contact, mΩ, by family. Source: numbers, current. */
const CONTACT_MILLIOHM: Readonly<Partial<Record<TerminalFamily, number>>> = {
  '0.64': 15,
  '1.5': 10,
  pin20: 10,
  '2.8': 5,
  pin16: 5,
  '6.3': 3,
  pin12: 3,
};

/** Pins and sockets, flat and round, that a housing holds by a lance. */
export const housing: Form = {
  form: 'housing',
  nestBy: 'copper',
  body: 'bare',
  serves: {
    housing: 0,
    stays: 'It needs a housing; a stud takes a ring.',
    screwStays: 'It needs a housing; a screw takes a fork.',
    parted: 'It needs a housing; loose wires are parted by a bullet.',
    tab: 'It needs a housing; a bare tab takes a blade.',
    clamp: 'Its barrel is open: a screw clamp takes a ferrule.',
  },
  solid: 'single',
  sealing: 'wireSeal',
  soldered: { refused: 'Solder runs into the spring of a contact, and it no longer fits its cavity.' },
  contactMilliohm: (family) => CONTACT_MILLIOHM[family],
  crimpMistake: 'Metal squeezed out, or longer than an uncrimped one: scrap, and change the setting first.',
  crimp: ({ part, gripsJacket, hasWireSeal }) =>
    gripsJacket
      ? `${part.name}: conductor first, then jacket, each in its own nest, or both in one stroke${hasWireSeal ? '; the seal’s neck goes under the jacket crimp' : ''}. A brush of 0.5–1 mm shows, the jacket edge stands between the two crimps.`
      : `${part.name}: one crimp, on the conductor. A brush of 0.5–1 mm shows, the jacket goes up to the barrel and not in: nothing grips the jacket, so the wire is tied beside it.`,
  fasten: () => undefined,
  isTugged: true,
  looks: ({ gripsJacket }) => openBarrelChecks(gripsJacket),
  usual: [
    inHousing('0.64', [0.13, 0.5], [0.8, 1.8], 3.5),
    inHousing('1.5', [0.35, 1.5], [1.2, 2.8], 4.5),
    inHousing('2.8', [0.5, 2.5], [1.4, 3.4], 5),
    inHousing('6.3', [1, 6], [1.9, 5], 6.5),
    inHousing('pin20', [0.3, 0.8], [1, 2.4], 5),
    inHousing('pin16', [0.75, 2.1], [1.6, 3.2], 6.5),
    inHousing('pin12', [2.5, 5.3], [2.4, 4.6], 8),
  ],
  tools: [
    {
      id: 'tool-housingTerminals',
      name: 'Ratchet crimper, housing terminals',
      tasks: ['crimpTerminal'],
      range: { minMm2: 0.13, maxMm2: 6 },
      families: HOUSING_FAMILIES,
      ratchet: true,
    },
  ],
};
