import {
  areaMm2,
  awgAreaMm2,
  awgLabel,
  LARGEST_AWG,
  SMALLEST_AWG,
  TRADE_PAIRS_MM2,
  type WireSize,
} from '../wire/index.ts';
import { figure } from '../units/index.ts';
import { bad, readNumber } from './cells.ts';
import type { CellOutcome, PinoutOption, SizeBasis } from './types.ts';

/** A size as it was read, a form that may be several, or why it is none. */
export type SizeReading = CellOutcome<WireSize> | { readonly ok: 'ask'; readonly form: string };

const METRIC = /^(\d+(?:[.,]\d+)?)\s*(?:mm\s*[²2]|mm\^2|sq\.?(?:\s*mm)?|sqmm|qmm|mmq)$/i;
/** Gauge said in so many words: copper by gauge. */
const AWG = /^(?:AWG\.?\s*[-#]?\s*(\d{1,2}(?:\/0)?)|#?\s*(\d{1,2}(?:\/0)?)\s*-?\s*AWG)$/i;
const TRADE = /^trade\s+(\d{1,2})$/i;
/** Forms that say no unit, or one that people use for two things. */
const UNSETTLED = /^(?:(?:#|GA(?:UGE)?\.?|G)\s*(\d{1,2})|(\d{1,3})\s*(?:GA(?:UGE)?\.?|G|#|ER)?)$/i;
/** Millimetres alone: copper's area written short, or a diameter. */
const MILLIMETRES = /^(\d+(?:[.,]\d+)?)\s*mm$/i;
/** A whole number that a spreadsheet shows with a nought; from here on it may be a gauge as well. */
const WHOLE_WITH_NOUGHT = /^([7-9]|\d{2})[.,]0$/;

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

/** A form such as 16, 20ga or 16er as it is asked about: the number that it has, and how it is written. */
const formOf = (plain: string): string => plain.toLowerCase().replace(/\s+/g, '');
const numberIn = (form: string): string => /\d+(?:[.,]\d+)?/.exec(form)?.[0] ?? form;

/** An unsettled size as what it was said to be. */
export function settledSize(form: string, basis: SizeBasis): CellOutcome<WireSize> {
  const number = numberIn(form);
  return basis === 'metric' ? metricSize(number) : gaugeSize(number.replace(/[.,]0$/, ''), basis);
}

const WORDS: Record<SizeBasis, (size: WireSize) => string> = {
  metric: () => 'mm²',
  awg: (size) => `AWG copper, ${size.basis === 'awg' ? figure(awgAreaMm2(size.awg)) : ''} mm²`,
  trade: (size) => `a trade label, ${size.basis === 'trade' ? figure(TRADE_PAIRS_MM2.get(size.awg) ?? 0) : ''} mm²`,
};

/** What an unsettled size may be, each with its copper: only what there is. */
export function sizeOptions(form: string): readonly PinoutOption[] {
  const bases: readonly SizeBasis[] = MILLIMETRES.test(form) ? ['metric'] : ['metric', 'awg', 'trade'];
  return bases.flatMap((value) => {
    const size = settledSize(form, value);
    return size.ok ? [{ value, words: `${numberIn(form)} ${WORDS[value](size.value)}` }] : [];
  });
}

/** Area and gauge in one cell: "1.0 mm² / 16 AWG". */
function bothIn(plain: string, unit: SizeBasis | undefined): CellOutcome<WireSize> | undefined {
  const both = /^(.+?)\s*[=(/,;]\s*(.+?)\)?$/.exec(plain);
  if (both?.[1] === undefined || both[2] === undefined || !/[A-Za-z#²]/.test(plain)) return undefined;
  const [first, second] = [readSize(both[1], unit), readSize(both[2], unit)];
  if (first.ok !== true || second.ok !== true || first.value.basis === second.value.basis) return undefined;
  const [metric, gauge] = first.value.basis === 'metric' ? [first.value, second.value] : [second.value, first.value];
  if (metric.basis !== 'metric') return undefined;
  if (gauge.basis === 'trade') return { ok: true, value: { ...gauge, areaMm2: metric.areaMm2 } };
  return gauge.basis === 'awg' ? sizeFromBoth(metric.areaMm2, awgLabel(gauge.awg)) : undefined;
}

/**
 * Reads a wire size: 16 AWG, "1,0 mm²", 1.5sq, 2.5, trade 16, AWG 16 = 1.31 mm². A bare 16, 20ga, #16 or 16er may be
 * several and is asked, unless the header names the unit.
 * @param unit what the header says
 */
export function readSize(text: string, unit?: SizeBasis): SizeReading {
  const plain = text.trim().replace(/\s+/g, ' ');
  const both = bothIn(plain, unit);
  if (both) return both;
  if (/\d\s*[x×]\s*\d/i.test(plain))
    return bad(
      `“${text}” is more than one wire, or a strand count.`,
      'Give each wire its own line, with the size of its copper.',
    );
  const metric = METRIC.exec(plain)?.[1];
  if (metric !== undefined) return metricSize(metric);
  const trade = TRADE.exec(plain)?.[1];
  if (trade !== undefined) return gaugeSize(trade, 'trade');
  const gauge = AWG.exec(plain);
  const label = gauge?.[1] ?? gauge?.[2];
  if (label !== undefined) return gaugeSize(label, 'awg');
  if (/^#?\d\/0$/.test(plain)) return gaugeSize(plain.replace('#', ''), 'awg');
  if (unit !== undefined && (UNSETTLED.test(plain) || WHOLE_WITH_NOUGHT.test(plain))) return settledSize(plain, unit);
  if (unit === 'awg' && /^\d+[.,]\d+$/.test(plain))
    return bad(`“${text}” is no gauge, and the header says that it is one.`, 'Write its unit: 0.5 mm².');
  const millimetres = MILLIMETRES.test(plain);
  if (millimetres && unit === 'metric') return metricSize(numberIn(plain));
  if (millimetres || UNSETTLED.test(plain) || WHOLE_WITH_NOUGHT.test(plain)) {
    const form = formOf(plain);
    if (sizeOptions(form).length > 0) return { ok: 'ask', form };
  }
  if (/^\d+[.,]\d+$/.test(plain)) return metricSize(plain);
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

/** A column of copper beside a size agrees with it within this part of it. */
const AGREES = 0.05;

/** A size with a column of copper beside it: what is settled must agree with it, what is not it may settle. */
export function sizeBeside(text: string, area: number): SizeReading {
  const read = readSize(text);
  if (read.ok === false) return read;
  if (read.ok === 'ask') {
    const metric = settledSize(read.form, 'metric');
    if (metric.ok && Math.abs(areaMm2(metric.value) - area) <= AGREES * area) return metric;
    return sizeFromBoth(area, numberIn(read.form));
  }
  const copper = areaMm2(read.value);
  return Math.abs(copper - area) <= AGREES * copper
    ? read
    : bad(
        `“${text}” is ${figure(copper, 3)} mm², and ${figure(area, 3)} mm² stands beside it.`,
        'Correct one of the two.',
      );
}
