import { LOOSE_FAMILIES, tabOf, terminalForm } from '../../../harness/index.ts';
import { bad, good, look } from '../../../prove/index.ts';
import { CLOSED_BARREL_MISTAKE, closedBarrelCrimp, closedBarrels } from '../../closedBarrel.ts';
import { closedBarrelLook } from '../../looks.ts';
import type { Form } from '../../types.ts';

/** Blades wider than this carry as a 6.3 contact does, mm. */
const NARROW_MM = 4.8;

/** Push-on blades, for the tabs of relays and switches. */
export const blade: Form = {
  form: 'blade',
  nestBy: 'barrel',
  body: 'insulated',
  serves: {
    tab: 0,
    parted: 1,
    stays: 'A blade pulls off; a ring cannot come off.',
    screwStays: 'A blade goes under no screw.',
    clamp: 'A blade does not go into a screw clamp.',
    housing: 'An insulated blade sits in no housing.',
  },
  solid: 'folded',
  sealing: 'sleeve',
  staysOpen: 'The tab itself stays open to the wet.',
  soldered: 'allowed',
  contactMilliohm: (family) => ((tabOf(family) ?? 0) <= NARROW_MM ? 5 : 3),
  crimpMistake: CLOSED_BARREL_MISTAKE,
  crimp: ({ part }) => closedBarrelCrimp(part.name, part.support),
  fasten: (family) => ({
    title: `Push the blade onto its ${tabOf(family) ?? ''} tab`.replace('  ', ' '),
    detail: 'Bright tab, home to its stop, tight all the way; a loose one is replaced and never squeezed shut.',
    mistake: 'Tabs of other widths stand on the same relay: a blade one size up pushes on and gets hot.',
  }),
  isTugged: true,
  looks: ({ part }) => [
    closedBarrelLook('Blade', part.support === 'metal'),
    look('blade.grip', 'Grip on its tab', 'Push on and pull straight.', [
      good('Goes on with a firm push, and holds the pull'),
      bad('rework', 'loose', 'Slides on and off', 'Wrong tab width, or spread.', 'New blade of the tab’s width.'),
    ]),
  ],
  usual: LOOSE_FAMILIES.filter((family) => terminalForm(family) === 'blade').flatMap(closedBarrels),
  tools: [],
};
