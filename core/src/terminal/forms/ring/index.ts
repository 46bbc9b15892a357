import { LOOSE_FAMILIES, terminalForm } from '../../../harness/index.ts';
import { CLOSED_BARREL_MISTAKE, closedBarrelCrimp, closedBarrels } from '../../closedBarrel.ts';
import { closedBarrelLook } from '../../looks.ts';
import { ON_STUD_MILLIOHM, underScrew } from '../../studs.ts';
import type { Form } from '../../types.ts';

/** Rings: they cannot come off, as a ground wants it. */
export const ring: Form = {
  form: 'ring',
  nestBy: 'barrel',
  body: 'insulated',
  serves: {
    stays: 0,
    screwStays: 'The screw has to come out for a ring.',
    parted: 'A ring is unscrewed each time; a bullet is pulled apart.',
    tab: 'A ring does not go on a tab.',
    clamp: 'A ring does not go into a screw clamp.',
    housing: 'A ring sits in no housing.',
  },
  solid: 'folded',
  sealing: 'sleeve',
  soldered: 'allowed',
  contactMilliohm: () => ON_STUD_MILLIOHM,
  crimpMistake: CLOSED_BARREL_MISTAKE,
  crimp: ({ part }) => closedBarrelCrimp(part.name, part.support),
  fasten: (family) => underScrew(family, 'ring'),
  isTugged: true,
  looks: ({ part }) => [closedBarrelLook('Ring', part.support === 'metal')],
  usual: LOOSE_FAMILIES.filter((family) => terminalForm(family) === 'ring').flatMap(closedBarrels),
  tools: [],
};
