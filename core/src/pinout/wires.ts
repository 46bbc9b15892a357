import { readColour, type ColourSystem, type WireSize, type WireSpec } from '../wire/index.ts';
import { isBareSize, readConductor, readJacket, readNumber, readSize, saysNothing, sizeFromBoth } from './cells.ts';
import type { GridRow } from './grid.ts';
import type { BareSize, CellOutcome, ColourCell, PinoutChoices, PinoutField } from './types.ts';

/** Says what is wrong with a cell of the line that is being read. */
export type Blame = (field: PinoutField, why: string, remedy: string) => undefined;

/** The colour texts of a line: base and stripe joined when they stand in two columns. */
export function colourText(row: GridRow): string {
  const { colour = '', stripe = '' } = row.cells;
  return saysNothing(stripe) ? colour : `${colour}/${stripe}`;
}

function colourOf(text: string, system: ColourSystem | undefined): ColourCell {
  const reading = readColour(text, system);
  if (reading.kind === 'read') return { ok: true, value: reading.colour };
  if (reading.kind === 'unread')
    return {
      ok: false,
      why: `“${text}”: ${reading.why}`,
      remedy: 'Write the colour in the sheet’s own system, or in full words such as red/black.',
    };
  return {
    ok: false,
    why: `“${text}” may be ${reading.mayBe.map(({ base, stripe }) => (stripe === undefined ? base : `${base}/${stripe}`)).join(' or ')}.`,
    remedy: 'Choose the system that the sheet is written in.',
  };
}

/** The colour of a line; one without is refused unless the sheet has none at all and that was said. */
function colourIn(row: GridRow, system: ColourSystem | undefined, choices: PinoutChoices): ColourCell {
  const { colour = '', stripe = '' } = row.cells;
  if (!saysNothing(colour)) return colourOf(colourText(row), system);
  if (!saysNothing(stripe))
    return {
      ok: false,
      why: `There is a stripe, ${stripe}, and no base colour.`,
      remedy: 'Give the base colour, or correct which column holds it.',
    };
  return choices.withoutColours
    ? { ok: true, value: { base: 'natural' } }
    : { ok: false, why: 'The colour is missing.', remedy: 'Give it, or write “same” where it is as above.' };
}

function sizeOf(
  row: GridRow,
  bare: BareSize | undefined,
  choices: PinoutChoices,
): { readonly field: PinoutField; readonly outcome: CellOutcome<WireSize> } | undefined {
  const { size, sizeMm2, sizeAwg } = row.cells;
  const options = { bare, gaugeMeans: choices.gaugeMeans };
  if (sizeMm2 !== undefined && sizeAwg !== undefined && !saysNothing(sizeMm2) && !saysNothing(sizeAwg)) {
    const area = readNumber(sizeMm2.replace(/\s*(?:mm²|mm2|sq)$/i, ''));
    const label = /^(?:awg|#)?\s*(\d{1,2}(?:\/0)?)\s*(?:awg)?$/i.exec(sizeAwg)?.[1];
    if (area !== undefined && label !== undefined) return { field: 'sizeAwg', outcome: sizeFromBoth(area, label) };
  }
  if (sizeMm2 !== undefined && !saysNothing(sizeMm2))
    return { field: 'sizeMm2', outcome: readSize(sizeMm2, { ...options, bare: 'metric' }) };
  if (sizeAwg !== undefined && !saysNothing(sizeAwg))
    return { field: 'sizeAwg', outcome: readSize(sizeAwg, { ...options, bare: choices.gaugeMeans ?? 'awg' }) };
  return size === undefined ? undefined : { field: 'size', outcome: readSize(size, options) };
}

/**
 * What the bare numbers of a size column are: as chosen; else metric when the column has decimals or metric units and
 * every bare number goes with them, gauge when it has gauges; undefined when nothing tells.
 */
export function judgeBareSizes(rows: readonly GridRow[], choices: PinoutChoices): BareSize | undefined | 'none' {
  if (choices.bareSizes !== undefined) return choices.bareSizes;
  const texts = rows.flatMap((row) => (row.cells.size === undefined ? [] : [row.cells.size]));
  const bare = texts.filter(isBareSize);
  if (bare.length === 0) return 'none';
  const metric = texts.some((text) => /^\d+[.,]\d+|mm|sq/i.test(text));
  const gauge = texts.some((text) => /awg|ga\b|#/i.test(text));
  if (metric && !gauge) return 'metric';
  return gauge && !metric ? (choices.gaugeMeans ?? 'awg') : undefined;
}

/** The wire of a line, or what is wrong with its cells. */
export function wireOf(
  row: GridRow,
  system: ColourSystem | undefined,
  bare: BareSize | undefined,
  choices: PinoutChoices,
  blame: Blame,
): WireSpec | undefined {
  const size = sizeOf(row, bare, choices);
  const { jacket = '', wall = '', conductor = '', strands = '', outerDiameter = '' } = row.cells;
  const read = {
    colour: colourIn(row, system, choices),
    jacket: readJacket(saysNothing(jacket) ? '' : jacket, saysNothing(wall) ? '' : wall),
    conductor: readConductor(saysNothing(conductor) ? '' : conductor, saysNothing(strands) ? '' : strands),
  };
  if (!size) blame('size', 'The wire size is missing.', 'Give it, or write “same” where it is as above.');
  else if (!size.outcome.ok) blame(size.field, size.outcome.why, size.outcome.remedy);
  for (const field of ['colour', 'jacket', 'conductor'] as const) {
    const outcome = read[field];
    if (!outcome.ok) blame(field, outcome.why, outcome.remedy);
  }
  const outer = saysNothing(outerDiameter)
    ? undefined
    : readNumber(outerDiameter.replace(/\s*mm$/i, '').replace(/^[øØ]\s*/, ''));
  if (!saysNothing(outerDiameter) && !(outer !== undefined && outer > 0 && outer <= 60))
    return blame(
      'outerDiameter',
      `“${outerDiameter}” is not a diameter in mm.`,
      'Write it as 2.4, above 0 and at most 60.',
    );
  if (!size?.outcome.ok || !read.colour.ok || !read.jacket.ok || !read.conductor.ok) return undefined;
  return {
    size: size.outcome.value,
    conductor: read.conductor.value,
    jacket: outer === undefined ? read.jacket.value : { ...read.jacket.value, outerDiameterMm: outer },
    colour: read.colour.value,
  };
}
