import { bad, CUT_OUT, good, GROWTH_CHECK, look, THROAT_CHECK, type Check } from '../prove/index.ts';

const FLASH = bad(
  'scrap',
  'flash',
  'Metal squeezed out beside or below',
  'Die too small or closed too far.',
  `Change the setting before the next one. ${CUT_OUT}`,
);
const LONG = bad(
  'scrap',
  'long',
  'Longer than an uncrimped one',
  'Over-crimped.',
  `Change the setting before the next one. ${CUT_OUT}`,
);

/** The conductor crimp of an open barrel. @param gripsJacket it has a second pair of wings for the jacket */
const conductorLook = (gripsJacket: boolean): Check =>
  look(
    'terminal.crimp',
    gripsJacket ? 'Conductor crimp' : 'Terminal crimp',
    'From the side and from above, a magnifier helps.',
    [
      good(
        gripsJacket
          ? 'Brush seen, flared mouth, no metal beside the die'
          : 'Brush seen, jacket up to the barrel and not in it, flared mouth, no metal beside the die',
      ),
      FLASH,
      LONG,
      bad(
        'scrap',
        'jacketIn',
        'Jacket in the conductor crimp, or strands outside',
        'Stripped too short, or a strand astray.',
        `${CUT_OUT} Strip to the terminal’s own length.`,
      ),
      bad(
        'rework',
        'throat',
        'Wire end more than 1.5 mm past the throat',
        'Stripped too long, or pushed in too far.',
        'Trim the brush to 0.5–1 mm, or crimp a new one: it keeps the mating contact out.',
      ),
    ],
  );

/** The jacket crimp is judged apart: a loose one is never mended by closing the conductor crimp further. */
const JACKET_LOOK = look('terminal.jacket', 'Jacket crimp', 'Bend the wire there once each way.', [
  good('Holds the jacket all round, its edge seen between the two crimps'),
  bad(
    'scrap',
    'loose',
    'The jacket slips or turns in it',
    'Wrong nest for this jacket, or too thin a jacket.',
    'Another terminal, or build the jacket up. Never close the conductor crimp further for it.',
  ),
  bad(
    'scrap',
    'cuts',
    'It cuts into the jacket, copper shows',
    'Wrong nest for this jacket, or too thick a jacket.',
    `${CUT_OUT} Take the nest for this jacket.`,
  ),
]);

/** What is looked at and may be measured on an open barrel: conductor and jacket crimp apart, growth, brush. */
export const openBarrelChecks = (gripsJacket: boolean): readonly Check[] => [
  conductorLook(gripsJacket),
  ...(gripsJacket ? [JACKET_LOOK] : []),
  GROWTH_CHECK,
  THROAT_CHECK,
];

/** The closed barrel of a ring, fork, blade or bullet. */
export const closedBarrelLook = (title: string, hasMetalSupport: boolean): Check =>
  look('closedBarrel.crimp', title, 'From the side, then from the tongue.', [
    good(
      hasMetalSupport
        ? 'Brush seen at the tongue, one crimp on the copper and one on the jacket'
        : 'Brush seen at the tongue, crimp halfway along the barrel, jacket up to it',
    ),
    bad('scrap', 'rim', 'Crimped on the rim, or the collar is cut', 'Placed wrongly in the die.', CUT_OUT),
    bad(
      'scrap',
      'plastic',
      'Only the plastic is squeezed',
      'Terminal the wrong way round in the die.',
      `${CUT_OUT} Barrel into the nest, tongue out.`,
    ),
    bad(
      'scrap',
      'strands',
      'Strands outside, or no brush at the tongue',
      'A strand astray, or not in to the stop.',
      `${CUT_OUT} Strip to the terminal’s own length.`,
    ),
    bad(
      'scrap',
      'die',
      'The mark of another nest, or it turns on the wire',
      'Wrong nest: the fault that looks good.',
      CUT_OUT,
    ),
  ]);
