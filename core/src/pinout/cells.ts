import {
  awgAreaMm2,
  awgLabel,
  JACKETS,
  LARGEST_AWG,
  SMALLEST_AWG,
  TRADE_PAIRS_MM2,
  WALLS_MM,
  type Conductor,
  type Jacket,
  type JacketMaterial,
  type JacketWall,
  type WireSize,
} from '../wire/index.ts';
import { KIND_WORDS, type CircuitKind } from '../harness/index.ts';
import { figure } from '../units/index.ts';
import type { BareSize, CellOutcome } from './types.ts';

const bad = (why: string, remedy: string): { readonly ok: false; readonly why: string; readonly remedy: string } => ({
  ok: false,
  why,
  remedy,
});

/** Whether a cell says "as in the row above". */
export const saysSameAsAbove = (text: string): boolean =>
  /^(?:["″”〃]+|''|do\.?|ditto|same|same as above|as above|see above|idem|id\.|[↑^]|s\. ?o\.|wie oben)$/i.test(
    text.trim(),
  );

/** Whether a cell says that there is nothing: a dash, n/a, none. */
export const saysNothing = (text: string): boolean =>
  /^(?:[-–—.]+|n\/?a|none|nil|empty|not used|unused|nc|n\.c\.)?$/i.test(text.trim());

/** Whether words say that a cavity has no wire. */
export const saysEmptyCavity = (text: string): boolean =>
  saysNothing(text) ||
  /^(?:spare|blank|open|vacant|free|reserved|no connection|not connected|no wire|blocked|plug(?:ged)?|cavity plug|sealing plug|blind plug|dummy)(?: cavity| plug| pin)?$/i.test(
    text.trim(),
  );

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

const METRIC = /^(\d+(?:[.,]\d+)?)\s*(?:mm\s*[²2]|mm\^2|sq\.?(?:\s*mm)?|sqmm|qmm|mmq)$/i;
const GAUGE = /^(?:(?:AWG|#|GA(?:UGE)?\.?)\s*(\d{1,2}(?:\/0)?)|(\d{1,2}(?:\/0)?)\s*(?:AWG|GA(?:UGE)?\.?|#|G))$/i;
const TRADE = /^trade\s+(\d{1,2})$/i;

const gaugeOf = (label: string): number => (label.endsWith('/0') ? 1 - Number(label.slice(0, -2)) : Number(label));

/** A gauge as copper or as trade label, when it exists. */
function gaugeSize(label: string, means: 'awg' | 'trade'): CellOutcome<WireSize> {
  const awg = gaugeOf(label);
  if (means === 'trade')
    return TRADE_PAIRS_MM2.has(awg)
      ? { ok: true, value: { basis: 'trade', awg } }
      : bad(`Trade label ${label} is not known.`, `Labels are ${[...TRADE_PAIRS_MM2.keys()].join(', ')}.`);
  return awg >= LARGEST_AWG && awg <= SMALLEST_AWG
    ? { ok: true, value: { basis: 'awg', awg } }
    : bad(`Gauge ${label} is not known.`, `Gauges run from 4/0 to ${SMALLEST_AWG}.`);
}

function metricSize(text: string): CellOutcome<WireSize> {
  const area = readNumber(text);
  return area !== undefined && area >= 0.05 && area <= 120
    ? { ok: true, value: { basis: 'metric', areaMm2: area } }
    : bad(`${text} mm² is not a wire size.`, 'Sizes run from 0.05 to 120 mm².');
}

/** Whether a size cell is a bare whole number, of which only the user or the column can say what it is. */
export const isBareSize = (text: string): boolean => /^#?\d{1,2}$/.test(text.trim()) && !text.trim().startsWith('#');

/** Reads a wire size: 16 AWG, #16, 1.0, "1,0 mm²", 1.5sq, trade 16, AWG 16 = 1.31 mm². */
export function readSize(
  text: string,
  options: { readonly bare?: BareSize | undefined; readonly gaugeMeans?: 'awg' | 'trade' | undefined },
): CellOutcome<WireSize> {
  const plain = text.trim().replace(/\s+/g, ' ');
  const both = /^(.+?)\s*[=(/,;]\s*(.+?)\)?$/.exec(plain);
  if (both?.[1] !== undefined && both[2] !== undefined && /[A-Za-z#²]/.test(plain)) {
    const [first, second] = [readSize(both[1], options), readSize(both[2], options)];
    if (first.ok && second.ok && first.value.basis !== second.value.basis) {
      const [metric, gauge] =
        first.value.basis === 'metric' ? [first.value, second.value] : [second.value, first.value];
      if (metric.basis === 'metric' && gauge.basis === 'trade')
        return { ok: true, value: { ...gauge, areaMm2: metric.areaMm2 } };
      if (metric.basis === 'metric' && gauge.basis === 'awg') return sizeFromBoth(metric.areaMm2, awgLabel(gauge.awg));
    }
  }
  if (/\d\s*[x×]\s*\d/i.test(plain))
    return bad(
      `“${text}” is more than one wire, or a strand count.`,
      'Give each wire its own line, with the size of its copper.',
    );
  const metric = METRIC.exec(plain)?.[1];
  if (metric !== undefined) return metricSize(metric);
  const trade = TRADE.exec(plain)?.[1];
  if (trade !== undefined) return gaugeSize(trade, 'trade');
  const gauge = GAUGE.exec(plain);
  const label = gauge?.[1] ?? gauge?.[2];
  if (label !== undefined) return gaugeSize(label, options.gaugeMeans ?? 'awg');
  if (/^\d\/0$/.test(plain)) return gaugeSize(plain, 'awg');
  if (/^\d+[.,]\d+$/.test(plain)) return metricSize(plain);
  if (isBareSize(plain)) {
    if (options.bare === undefined)
      return bad(
        `“${text}” has no unit: it may be mm², AWG copper or a trade label.`,
        'Say what bare sizes are in this sheet.',
      );
    return options.bare === 'metric' ? metricSize(plain) : gaugeSize(plain, options.bare);
  }
  return bad(`“${text}” is not a wire size.`, 'Write it as 1.5 mm², 16 AWG or trade 16.');
}

/** Size from an area and a gauge column together: which of the two bases the pair stands for. */
export function sizeFromBoth(area: number, label: string): CellOutcome<WireSize> {
  const awg = gaugeOf(label);
  const near = (value: number | undefined): boolean => value !== undefined && Math.abs(area - value) <= 0.05 * value;
  const copper = awg >= LARGEST_AWG && awg <= SMALLEST_AWG ? awgAreaMm2(awg) : undefined;
  const trade = TRADE_PAIRS_MM2.get(awg);
  if (near(copper)) return { ok: true, value: { basis: 'awg', awg, areaMm2: area } };
  if (near(trade)) return { ok: true, value: { basis: 'trade', awg, areaMm2: area } };
  return bad(
    `Gauge ${label} and ${figure(area, 3)} mm² disagree: AWG ${label} is ${copper === undefined ? 'no gauge' : `${figure(copper)} mm² of copper`}${trade === undefined ? '' : `, trade ${label} is ${figure(trade)} mm²`}.`,
    'Correct one of the two.',
  );
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

/** Connector and cavity in one cell: X31-4, X31/4, X31:4, X31.4, "X31 pin 4". The last piece is the cavity. */
export function readEnd(text: string): CellOutcome<{ readonly connector: string; readonly cavity: string }> {
  const match = /^(.+?)\s*(?:[-/:.,]|\s(?:pin|cav(?:ity)?|pos|#)\.?\s*|\s)\s*([A-Za-z]{0,2}\d{0,3})$/i.exec(
    text.trim(),
  );
  const [, connector, cavity] = match ?? [];
  return connector === undefined || cavity === undefined || cavity === ''
    ? bad(`“${text}” does not name connector and cavity.`, 'Write it as X31-4.')
    : { ok: true, value: { connector: connector.trim(), cavity } };
}
