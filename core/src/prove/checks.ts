import { bad, CUT_OUT, good, look } from './looks.ts';
import type { Check } from './check.ts';
import { HAND_LOOK } from './handLook.ts';
import { COMPRESSION_CHECK } from './kinds/compression.ts';
import { resistanceCheck } from './kinds/resistance.ts';
import { samplesCheck } from './kinds/samples.ts';
import { tugCheck } from './kinds/tug.ts';
import { measuredChecks } from './needs.ts';
import type { Provable } from './proof.ts';
import { SEAL_LOOKS } from './sealLooks.ts';

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
      'A strand of the shield lies on the core.',
      `${CUT_OUT} Fold every strand of the shield back first.`,
    ),
  ]),
];

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

/**
 * The checks of a joint: its family's looks, the usual readings that say something about it, its seal, its shield; in
 * the order in which they are made.
 */
export function checksFor({
  proof,
  seal,
  tinLead,
  pullMinimumN,
  limits,
  shielded,
  glueless,
  byHand,
  proving = 'measured',
  loadA,
  crimpedMm2,
  between,
  path,
  copperMm2,
}: Provable): Check[] {
  const checks: Check[] = [...proof.looks({ tinLead })];
  if (proof.isTugged) checks.push(tugCheck(pullMinimumN));
  if (byHand === true) checks.push(HAND_LOOK);
  if (proof.isMeasured && limits)
    checks.push(
      ...measuredChecks(proving, {
        resistance: resistanceCheck(
          limits,
          'Resistance over the joint',
          'Four leads, across the joint. A beeper says only "joined".',
          between,
        ),
        limits,
        between,
        path,
        copperMm2,
        loadA,
        crimpedMm2,
      }),
    );
  checks.push(...(glueless === true ? [TIGHT_LOOK] : SEAL_LOOKS[seal]));
  if (shielded === true) checks.push(...SHIELD_LOOKS);
  if (proof.samples.cut) checks.push(COMPRESSION_CHECK);
  if (proof.samples.pulled) checks.push(samplesCheck(pullMinimumN));
  return checks;
}

/** The checks of a cover: the copper before it is covered, then its sleeve or tape. */
export const checksForCover = (seal: 'sleeve' | 'wrap'): Check[] => [...COVER_LOOKS, ...SEAL_LOOKS[seal]];
