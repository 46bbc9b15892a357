import { bad, good, look } from '../../../prove/index.ts';
import { onClosedBarrel } from '../../closedBarrel.ts';
import { closedBarrelLook } from '../../looks.ts';
import type { Form } from '../../types.ts';

/** Bullets, for what is parted often. */
export const bullet: Form = {
  ...onClosedBarrel('bullet'),
  serves: {
    parted: 0,
    stays: 'A bullet pulls apart; a ring cannot come off.',
    screwStays: 'A bullet goes under no screw.',
    tab: 'A bullet does not go on a tab.',
    clamp: 'A bullet does not go into a screw clamp.',
    housing: 'A bullet sits in no housing.',
  },
  staysOpen: 'The bullet itself stays open to the wet.',
  mateFirst: 'Measure the other half first, 4 or 5 mm: a 4 in a 5 socket holds by its collar only.',
  contactMilliohm: () => 5,
  fasten: () => ({
    title: 'Push the bullet into its socket',
    detail: 'Home to its ring, feel it snap, then pull straight.',
    mistake: '4 and 5 mm look alike: a 4 in a 5 socket holds by its collar only.',
  }),
  looks: ({ part }) => [
    closedBarrelLook('Bullet', part.support === 'metal'),
    look('bullet.snap', 'Snapped in', 'Pull straight at the wire.', [
      good('Snapped, and holds the pull'),
      bad('rework', 'loose', 'Comes apart', 'Not home, or the other diameter.', 'Push home, or fit one of its size.'),
    ]),
  ],
};
