import { addCircuit } from './addCircuit.ts';
import { brokenInside } from './brokenInside.ts';
import { cavityDamaged } from './cavityDamaged.ts';
import { cooked } from './cooked.ts';
import { corroded } from './corroded.ts';
import { cutFlush } from './cutFlush.ts';
import { housingBroken } from './housingBroken.ts';
import { housingMelted } from './housingMelted.ts';
import { jacketRubbed } from './jacketRubbed.ts';
import { lockLost } from './lockLost.ts';
import { misplaced } from './misplaced.ts';
import { noMatingPart } from './noMatingPart.ts';
import { parted } from './parted.ts';
import { poorRepair } from './poorRepair.ts';
import { sealLost } from './sealLost.ts';
import { strandsLost } from './strandsLost.ts';
import { terminalDamaged } from './terminalDamaged.ts';
import { terminalMiscrimped } from './terminalMiscrimped.ts';
import { tooShort } from './tooShort.ts';
import { tornOff } from './tornOff.ts';

/**
 * Every kind of damage along a wire, in the order in which they are offered: a new one is a file of its own, named
 * here.
 */
export const RUN_KINDS = [
  jacketRubbed,
  strandsLost,
  parted,
  brokenInside,
  corroded,
  cooked,
  poorRepair,
  addCircuit,
] as const;

/** Every kind of damage at a cavity, likewise. */
export const CAVITY_KINDS = [
  terminalDamaged,
  terminalMiscrimped,
  housingBroken,
  housingMelted,
  cavityDamaged,
  tornOff,
  sealLost,
  lockLost,
  cutFlush,
  tooShort,
  misplaced,
  noMatingPart,
] as const;
