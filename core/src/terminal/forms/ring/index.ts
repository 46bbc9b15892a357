import { onClosedBarrel } from '../../closedBarrel.ts';
import { closedBarrelLook } from '../../looks.ts';
import { ON_STUD_MILLIOHM, underScrew } from '../../studs.ts';
import type { Form } from '../../types.ts';

/** Rings: they cannot come off, as a ground wants it. */
export const ring: Form = {
  ...onClosedBarrel('ring'),
  serves: {
    stays: 0,
    screwStays: 'The screw has to come out for a ring.',
    parted: 'A ring is unscrewed each time; a bullet is pulled apart.',
    tab: 'A ring does not go on a tab.',
    clamp: 'A ring does not go into a screw clamp.',
    housing: 'A ring sits in no housing.',
  },
  contactMilliohm: () => ON_STUD_MILLIOHM,
  fasten: (family) => underScrew(family, 'ring'),
  looks: ({ part }) => [closedBarrelLook('Ring', part.support === 'metal')],
};
