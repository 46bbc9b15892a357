import { JACKETS, WALLS_MM, type Conductor, type Jacket, type JacketMaterial, type JacketWall } from '../wire/index.ts';
import { KIND_WORDS, type CircuitKind } from '../harness/index.ts';
import { figure } from '../units/index.ts';
import type { CellOutcome } from './types.ts';

/** Why a cell cannot be read, and what to do. */
export const bad = (
  why: string,
  remedy: string,
): { readonly ok: false; readonly why: string; readonly remedy: string } => ({
  ok: false,
  why,
  remedy,
});

/** Whether a cell says "as in the row above". */
export const saysSameAsAbove = (text: string): boolean =>
  /^(?:["″”“„〃]+|''|-?do\.?-?|-?"-?|ditto|dito|same|same as above|as above|see above|idem|id\.|[↑^]|s\. ?o\.|siehe oben|wie oben)$/i.test(
    text.trim(),
  );

/** Whether a cell says that there is nothing: a dash, n/a, none. */
export const saysNothing = (text: string): boolean =>
  /^(?:[-–—.]+|n\/?a|none|nil|empty|not used|unused|n\/?c|n\.c\.|n\. ?b\.?|leer|unbelegt|nicht belegt|frei|entf(?:ällt|\.)?)?$/i.test(
    text.trim(),
  );

/** A cell that denies what its column asks for; a dash may just be blank. */
export const SAYS_NO = /^(?:no|n|none|nein|kein|keine|keiner|false|0|un-?shielded|not shielded|ungeschirmt)$/i;

/** Words for a cavity without a wire, alone or with what it is without. */
const EMPTY_CAVITY =
  /^\(?(?:spare|blank|open|vacant|free|reserved?|reserve|no connection|not connected|not fitted|no wire|no pin|no circuit|blocked|plug(?:ged)?|cavity plug|sealing plug|blanking plug|blind plug|dummy(?: plug)?|not used|unused|empty|n\/?c|n\.c\.|n\. ?b\.?|frei|unbelegt|nicht belegt|reserviert|nicht verwendet|not assigned|unassigned|unbenutzt|leer|blindstopfen|stopfen|verschlossen|blind)\)?(?:[ -](?:cavity|cav|plug|pin|position|kammer|platz))?(?: \(?(?:cavity|spare|empty|plug(?:ged)?|frei)\)?)?\.?$/i;

/** Whether words say that a cavity has no wire. */
export const saysEmptyCavity = (text: string): boolean => saysNothing(text) || EMPTY_CAVITY.test(text.trim());

/** Whether words say that a cavity is closed with a plug. */
export const saysPlugged = (text: string): boolean =>
  /plug|blocked|blind|stopfen|verschlossen|seal(?:ed)? off/i.test(text);

/** A number with a decimal point or comma; a thousands mark is refused because it cannot be told from one. */
export function readNumber(text: string): number | undefined {
  const plain = text.trim().replace(/\s/g, '');
  if (!/^\+?\d+(?:[.,]\d+)?$/.test(plain)) return undefined;
  return Number(plain.replace(',', '.'));
}

/** An amount with its unit left off: "7,5 A" is 7.5. */
export function readAmps(text: string, what: string): CellOutcome<number> {
  const match =
    /^(\d+(?:[.,]\d+)?)\s*(mA|A|amps?|ampere)?(?:\s*fuse)?$/i.exec(text.trim()) ??
    /^[A-Za-z]+\s*\d+\s*[:,;(–-]?\s*(\d+(?:[.,]\d+)?)\s*(mA|A)\)?$/i.exec(text.trim());
  const value = match?.[1] === undefined ? undefined : readNumber(match[1]);
  if (value === undefined) return bad(`The ${what} is not a current.`, 'Write it as 10, 7.5 A or 200 mA.');
  const amps = match?.[2] === 'mA' ? value / 1000 : value;
  return amps > 5000
    ? bad(`The ${what} of ${figure(amps)} A is over 5000 A.`, 'Check the unit.')
    : { ok: true, value: amps };
}

const KIND_FORMS: readonly (readonly [RegExp, CircuitKind])[] = [
  [/air ?bag|\bsrs\b|restraint|belt tensioner|pretensioner/i, 'airbag'],
  [/high.?voltage|\bhv\b|traction (?:positive|negative|battery)|orange cable/i, 'highVoltage'],
  [/ignition|\bign\b|key switch/i, 'ignition'],
  [/shield|screen/i, 'shielded'],
  [/\bcan\b|data|\blin\b|twisted pair|\bbus\b|network/i, 'data'],
  [/low.?level|sensor|sender|thermocouple|pick-?up|speed signal/i, 'lowLevel'],
  [/ground|\bgnd\b|earth|\bmasse\b|return|\bb-|negative/i, 'ground'],
  [/power|supply|feed|\bb\+|battery|solenoid|lamp|motor|heater|\bpwr\b|positive|valve|relay coil/i, 'power'],
  [/signal|switch|\bsig\b|input|output|command/i, 'signal'],
];

const EXACT_KINDS = new Map<string, CircuitKind>(
  Object.entries(KIND_WORDS).flatMap(([kind, words]) => [
    [words.toLowerCase(), kind as CircuitKind],
    [kind.toLowerCase(), kind as CircuitKind],
  ]),
);

/** A kind of circuit as it is written, by its own word first. */
export function readKind(text: string): CellOutcome<CircuitKind> {
  const exact = EXACT_KINDS.get(text.trim().toLowerCase());
  const kind = exact ?? kindFromFunction(text);
  return kind === undefined
    ? bad(`“${text}” is not a kind of circuit.`, `Kinds are ${Object.values(KIND_WORDS).join(', ')}.`)
    : { ok: true, value: kind };
}

/** The kind that a function's words speak of, if any. */
export const kindFromFunction = (words: string): CircuitKind | undefined =>
  KIND_FORMS.find(([form]) => form.test(words))?.[1];

const MATERIAL_FORMS: readonly (readonly [RegExp, JacketMaterial])[] = [
  [/pvc ?105|105/i, 'pvc105'],
  [/pvc/i, 'pvc'],
  [/xlpe|cross|sxl|gxl|txl|\bpe-?x\b/i, 'xlpe'],
  [/p?etfe/i, 'etfe'],
  [/sili/i, 'silicone'],
  [/ptfe/i, 'ptfe'],
];
const WALL_FORMS: readonly (readonly [RegExp, JacketWall])[] = [
  [/pvc ?primary|primary/i, 'pvcPrimary'],
  [/extra.?thin|ultra.?thin/i, 'extraThin'],
  [/thin/i, 'thin'],
  [/general/i, 'general'],
  [/heavy|thick/i, 'heavy'],
];

/** The jacket's material from its name or short form, and its wall where the sheet says it. */
export function readJacket(material: string, wall: string): CellOutcome<Jacket> {
  const own = Object.entries(JACKETS).find(
    ([id, jacket]) =>
      jacket.name.toLowerCase() === material.toLowerCase() || id.toLowerCase() === material.toLowerCase(),
  )?.[0] as JacketMaterial | undefined;
  const made = material === '' ? 'xlpe' : (own ?? MATERIAL_FORMS.find(([form]) => form.test(material))?.[1]);
  if (made === undefined)
    return bad(
      `“${material}” is not a known jacket.`,
      `Jackets are ${Object.values(JACKETS)
        .map((jacket) => jacket.name)
        .join(', ')}.`,
    );
  const key = Object.keys(WALLS_MM).find((id) => id.toLowerCase() === wall.toLowerCase()) as JacketWall | undefined;
  const walled =
    wall === ''
      ? made === 'pvc' || made === 'pvc105'
        ? 'pvcPrimary'
        : 'thin'
      : (key ?? WALL_FORMS.find(([form]) => form.test(wall))?.[1]);
  if (walled === undefined)
    return bad(`“${wall}” is not a jacket wall.`, 'Walls are extra-thin, thin, general, heavy and PVC primary.');
  return { ok: true, value: { material: made, wall: walled } };
}

const ALUMINIUM = /\b(?:alumin(?:ium|um)|alu|al)\b/i;

/**
 * Stranded or solid, how many strands, and of what: "solid", "stranded", "19", "19 x 0.26", "stranded aluminium", "Al".
 */
export function readConductor(conductor: string, strands: string): CellOutcome<Conductor> {
  const bare = conductor.replace(ALUMINIUM, '').trim();
  if (bare !== conductor.trim()) {
    const read = readConductor(bare, strands);
    return read.ok ? { ok: true, value: { ...read.value, metal: 'aluminium' } } : read;
  }
  if (/^solid|massiv|^1$/i.test(conductor.trim())) return { ok: true, value: { kind: 'solid' } };
  const count = /^(\d+)(?:\s*(?:strands?|[x/×].*))?$/i.exec((strands === '' ? conductor : strands).trim())?.[1];
  if (count !== undefined && Number(count) >= 2 && Number(count) <= 2000)
    return { ok: true, value: { kind: 'stranded', strands: Number(count) } };
  if (strands === '' && (conductor === '' || /strand|flex|litze/i.test(conductor)))
    return { ok: true, value: { kind: 'stranded' } };
  return bad(
    `“${strands === '' ? conductor : strands}” is not a conductor.`,
    'Write solid, stranded, or the number of strands (2 to 2000).',
  );
}
