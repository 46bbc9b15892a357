import { onClosedBarrel } from '../../closedBarrel.ts';
import { closedBarrelLook } from '../../looks.ts';
import { ON_STUD_MILLIOHM, underScrew } from '../../studs.ts';
import type { Form } from '../../types.ts';

/** Forks: the screw stays in. */
export const fork: Form = {
  ...onClosedBarrel('fork'),
  serves: {
    screwStays: 0,
    stays: 'A fork slides out when its screw works loose.',
    parted: 'A fork is unscrewed each time; a bullet is pulled apart.',
    tab: 'A fork does not go on a tab.',
    clamp: 'A fork does not go into a screw clamp.',
    housing: 'A fork sits in no housing.',
  },
  contactMilliohm: () => ON_STUD_MILLIOHM,
  fasten: (family) => underScrew(family, 'fork'),
  looks: ({ part }) => [closedBarrelLook('Fork', part.support === 'metal')],
};
