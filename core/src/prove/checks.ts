import { figure } from '../units/index.ts';
import { bad, CUT_OUT, good, look } from './looks.ts';
import type { Check, Provable } from './types.ts';

const BARREL_LOOKS: readonly Check[] = [
  look('barrel.wire', 'Wire in the barrel', 'Look into both ends, a magnifier helps.', [
    good('Both wires to the stop, jacket up to the barrel'),
    bad(
      'scrap',
      'jacketIn',
      'Jacket is in the barrel',
      'The crimp holds jacket, not copper.',
      `${CUT_OUT} Strip to length against the barrel.`,
    ),
    bad(
      'scrap',
      'short',
      'Bare copper outside, or wire not at the stop',
      'Stripped too long, or not pushed home.',
      `${CUT_OUT} Hold the wire at the stop while you squeeze.`,
    ),
  ]),
  look('barrel.crimp', 'Place of the crimps', 'A quarter of the barrel from each end.', [
    good('Halfway between centre and end, on both sides'),
    bad('scrap', 'rim', 'On the rim', 'A crimp on the rim cuts the strands inside an intact jacket.', CUT_OUT),
    bad(
      'scrap',
      'die',
      'Jacket of the part cut through, or hardly dented',
      'Wrong die or wrong seat in the die.',
      `Take the die for this size first. ${CUT_OUT}`,
    ),
  ]),
];

const CLIP_LOOKS: readonly Check[] = [
  look('clip.crimp', 'Conductor crimp', 'Strands just visible past the barrel, none outside.', [
    good('Brush visible at both ends, every strand inside'),
    bad(
      'scrap',
      'strand',
      'A strand is outside',
      'Strands left outside carry nothing and pierce the sleeve.',
      `Roll the strands once in a glove. ${CUT_OUT}`,
    ),
    bad(
      'scrap',
      'flash',
      'Metal squeezed out beside or below',
      'Die too small or too far closed.',
      `Change the setting before the next one. ${CUT_OUT}`,
    ),
    bad('scrap', 'noBrush', 'No brush at one end', 'The wire did not reach through.', CUT_OUT),
  ]),
];

const solderLooks = (tinLead: boolean): readonly Check[] => [
  look(
    'solder.face',
    'Solder',
    tinLead
      ? "Strands' outline visible; this alloy is shiny when good."
      : "Strands' outline visible; this alloy is dull when good.",
    [
      good('Wet all round, outline of the strands visible'),
      bad(
        'rework',
        'blob',
        'A blob, or bare copper',
        'Too much solder, or the wire was not hot.',
        'Heat the wire, draw the surplus off and feed again.',
      ),
      bad(
        'rework',
        'grainy',
        'Grainy or cracked',
        'It moved while it set.',
        'Heat it through again and hold it still.',
      ),
      bad(
        'scrap',
        'wicked',
        'Stiff under the jacket',
        'Solder ran under the jacket: it breaks there.',
        `${CUT_OUT} A heat clamp at the jacket keeps it out.`,
      ),
    ],
  ),
];

const CAP_LOOKS: readonly Check[] = [
  look('cap.wires', 'Wires in the cap', 'Tug each wire by itself.', [
    good('Every wire held, no copper outside the cap'),
    bad(
      'scrap',
      'loose',
      'One wire comes loose',
      'It stopped short, or the cap is too large.',
      `${CUT_OUT} Ends level, to the bottom of the cap.`,
    ),
    bad('scrap', 'bare', 'Bare copper below the cap', 'Stripped too long.', `${CUT_OUT} Strip to the cap’s depth.`),
  ]),
];

const TAP_LOOKS: readonly Check[] = [
  look('tap.closed', 'Tap closed', 'Latched over both wires, metal down.', [
    good('Latched, both wires in'),
    bad('rework', 'open', 'Not latched', 'Not pressed home.', 'Press it home with pliers.'),
  ]),
];

const COVER_LOOKS: readonly Check[] = [
  look('cover.copper', 'Copper under the cover', 'Looked at before it was covered.', [
    good('Bright, no strand missing'),
    bad(
      'scrap',
      'strands',
      'Strands are missing or green',
      'The damage goes into the copper.',
      'Change the finding: this is cut out, not covered.',
    ),
  ]),
];

const SHIELD_LOOKS: readonly Check[] = [
  look('shield', 'Shield', 'Look at its own splice, then measure: through from end to end, and nothing to the core.', [
    good('Joined by itself, drain covered, through from end to end, open to the core'),
    bad(
      'rework',
      'bare',
      'Bare drain outside its sleeve',
      'It touches something sooner or later.',
      'Cover it, sleeve or tape, before the jacket is closed.',
    ),
    bad(
      'rework',
      'open',
      'Not through from end to end',
      'The shield ends at the splice and shields nothing beyond it.',
      'Make the drain’s splice again.',
    ),
    bad(
      'scrap',
      'toCore',
      'Through to the core',
      'A hair of the shield lies on the core.',
      `${CUT_OUT} Fold every hair of the shield back first.`,
    ),
  ]),
];

const SEAL_LOOKS: Record<Provable['seal'], readonly Check[]> = {
  none: [],
  wrap: [
    look('seal.wrap', 'Wrapped seal', 'Stretched, half lapped, over jacket on both sides.', [
      good('Tight, half lapped, over jacket on both sides'),
      bad(
        'rework',
        'gap',
        'A gap, or jacket not reached',
        'Wrapped too short or too loose.',
        'Take the tape off and wrap again.',
      ),
    ]),
  ],
  sleeve: [sealLook()],
  builtIn: [sealLook()],
};

function sealLook(): Check {
  return look('seal.glue', 'Seal', 'Once it is cold: glue seen all round at both ends.', [
    good('Tight, glue all round at both ends'),
    bad(
      'rework',
      'noGlue',
      'Glue missing at an end',
      'Not hot enough at that end.',
      'Warm that end again, from the middle outwards.',
    ),
    bad(
      'scrap',
      'window',
      'A window, split or burnt',
      'Overheated, or pierced by a strand.',
      `${CUT_OUT} A sleeve cannot be changed without cutting.`,
    ),
  ]);
}

/** A sleeve without glue: where it is dry. */
const TIGHT_LOOK = look('seal.tight', 'Sleeve', 'Once it is cold: tight all round, over jacket on both sides.', [
  good('Tight, no window, over jacket on both sides'),
  bad(
    'rework',
    'loose',
    'Loose, split or short',
    'Too large, too hot, or cut too short.',
    'Cut it off and slide a new one on, or wrap it.',
  ),
]);

/** The checks that belong to a method and its seal, in the order in which they are made. */
export function checksFor(subject: Provable): Check[] {
  const looks: Record<Provable['family'], readonly Check[]> = {
    closedBarrel: BARREL_LOOKS,
    openClip: CLIP_LOOKS,
    closedEnd: CAP_LOOKS,
    soldered: solderLooks(subject.tinLead),
    tap: TAP_LOOKS,
    cover: COVER_LOOKS,
  };
  const checks: Check[] = [...looks[subject.family]];
  if (subject.family !== 'tap' && subject.family !== 'cover') {
    const targetN = subject.pullMinimumN / 2;
    checks.push({
      id: 'tug',
      kind: 'tug',
      required: true,
      title: 'Tug',
      how: `Pull straight to ${figure(targetN, 0)} N with a gauge and no further: it stays in service.`,
      targetN,
      minimumN: subject.pullMinimumN,
    });
  }
  if (subject.limits) {
    checks.push({
      id: 'resistance',
      kind: 'resistance',
      required: true,
      title: 'Resistance over the joint',
      how: 'Four leads, across the joint. A beeper says only "joined".',
      limits: subject.limits,
    });
  }
  if (subject.glueless === true) checks.push(TIGHT_LOOK);
  else checks.push(...SEAL_LOOKS[subject.family === 'cover' && subject.seal === 'builtIn' ? 'sleeve' : subject.seal]);
  if (subject.shielded === true) checks.push(...SHIELD_LOOKS);
  if (subject.family === 'openClip')
    checks.push({
      id: 'compression',
      kind: 'compression',
      required: false,
      title: 'Copper area after ÷ before',
      how: 'From a cut sample under the magnifier.',
    });
  if (subject.family === 'openClip' || subject.family === 'closedBarrel') {
    checks.push({
      id: 'samples',
      kind: 'samples',
      required: false,
      title: 'Sample pulls',
      how: 'On samples, to destruction: three or more, in newtons.',
      minimumN: subject.pullMinimumN,
    });
  }
  return checks;
}
