import { LOOSE_FAMILIES, terminalForm } from '../../../harness/index.ts';
import { CLOSED_BARREL_MISTAKE, closedBarrelCrimp, closedBarrels } from '../../closedBarrel.ts';
import { closedBarrelLook } from '../../looks.ts';
import { ON_STUD_MILLIOHM, underScrew } from '../../studs.ts';
import type { Form } from '../../types.ts';

/** Forks: the screw stays in. */
export const fork: Form = {
  form: 'fork',
  nestBy: 'barrel',
  body: 'insulated',
  serves: {
    screwStays: 0,
    stays: 'A fork slides out when its screw works loose.',
    parted: 'A fork is unscrewed each time; a bullet is pulled apart.',
    tab: 'A fork does not go on a tab.',
    clamp: 'A fork does not go into a screw clamp.',
    housing: 'A fork sits in no housing.',
  },
  solid: 'folded',
  sealing: 'sleeve',
  soldered: 'allowed',
  contactMilliohm: () => ON_STUD_MILLIOHM,
  crimpMistake: CLOSED_BARREL_MISTAKE,
  crimp: ({ part }) => closedBarrelCrimp(part.name, part.support),
  fasten: (family) => underScrew(family, 'fork'),
  isTugged: true,
  looks: ({ part }) => [closedBarrelLook('Fork', part.support === 'metal')],
  usual: LOOSE_FAMILIES.filter((family) => terminalForm(family) === 'fork').flatMap(closedBarrels),
  tools: [],
};
