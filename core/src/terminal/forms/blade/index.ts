import { tabOf } from '../../../harness/index.ts';
import { bad, good, look } from '../../../prove/index.ts';
import { onClosedBarrel } from '../../closedBarrel.ts';
import { closedBarrelLook } from '../../looks.ts';
import type { Form } from '../../types.ts';

/** Blades wider than this carry as a 6.3 contact does, mm. */
const NARROW_MM = 4.8;

/** Push-on blades, for the tabs of relays and switches. */
export const blade: Form = {
  ...onClosedBarrel('blade'),
  serves: {
    tab: 0,
    parted: 1,
    stays: 'A blade pulls off; a ring cannot come off.',
    screwStays: 'A blade goes under no screw.',
    clamp: 'A blade does not go into a screw clamp.',
    housing: 'An insulated blade sits in no housing.',
  },
  staysOpen: 'The tab itself stays open to the wet.',
  contactMilliohm: (family) => ((tabOf(family) ?? 0) <= NARROW_MM ? 5 : 3),
  fasten: (family) => ({
    title: `Push the blade onto its ${tabOf(family) ?? ''} tab`.replace('  ', ' '),
    detail: 'Bright tab, home to its stop, tight all the way; a loose one is replaced and never squeezed shut.',
    mistake: 'Tabs of other widths stand on the same relay: a blade one size up pushes on and gets hot.',
  }),
  looks: ({ part }) => [
    closedBarrelLook('Blade', part.support === 'metal'),
    look('blade.grip', 'Grip on its tab', 'Push on and pull straight.', [
      good('Goes on with a firm push, and holds the pull'),
      bad('rework', 'loose', 'Slides on and off', 'Wrong tab width, or spread.', 'New blade of the tab’s width.'),
    ]),
  ],
};
