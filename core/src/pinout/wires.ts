import {
  COLOUR_SYSTEMS,
  COLOUR_SYSTEM_WORDS,
  areaMm2,
  colourInWords,
  judgeColourSystem,
  readColour,
  type ColourSystem,
  type SystemVerdict,
  type WireColour,
  type WireSize,
  type WireSpec,
} from '../wire/index.ts';
import { bad, readConductor, readJacket, readNumber, saysNothing } from './cells.ts';
import type { Findings } from './findings.ts';
import type { ListLine } from './lines.ts';
import { splitWire } from './splitWire.ts';
import { readSize, settledSize, sizeBeside, sizeFromBoth, sizeOptions, type SizeReading } from './sizes.ts';
import type { CellOutcome, PinoutField, SizeBasis } from './types.ts';

/** Says what is wrong with a cell of the line that is being read. */
export type Blame = (field: PinoutField, why: string, remedy: string) => undefined;

/** The colour texts of a line: base and stripe joined when they stand in two columns. */
function colourText({ cells }: ListLine): string {
  const { colour = '', stripe = '' } = cells;
  return saysNothing(stripe) ? (saysNothing(colour) ? '' : colour) : `${saysNothing(colour) ? '' : colour}/${stripe}`;
}

/** Columns that hold a colour. */
const HAS_COLOUR: readonly PinoutField[] = ['colour', 'stripe', 'wire'];

/** What the colours of a sheet are written in, as far as that is known or was said. */
export interface ColoursSaid {
  readonly verdict: SystemVerdict;
  readonly system: ColourSystem | undefined;
  /** The sheet has no colours, and that was said. */
  readonly without: boolean;
}

const formOf = (text: string): string => text.trim().replace(/\s+/g, ' ').toUpperCase();
const inWords = ({ base, stripe }: WireColour): string => (stripe === undefined ? base : `${base}/${stripe}`);
/** A colour that was typed or tapped, in full words. */
const typedColour = (text: string): WireColour | undefined => {
  const read = readColour(text, 'words');
  return read.kind === 'read' ? read.colour : undefined;
};

/** Finds out in which system a sheet writes its colours; asks where nothing tells. */
export function judgeColours(lines: readonly ListLine[], findings: Findings): ColoursSaid {
  const texts = lines.map(colourText).filter((text) => text !== '');
  const judged = judgeColourSystem(texts);
  const bare = lines.filter(
    (line) => !HAS_COLOUR.some((field) => line.columns.has(field)) && !findings.openAs('column:', line),
  );
  const without =
    bare.length > 0 &&
    findings.ask(
      {
        key: 'noColours',
        asks: 'No column holds colours. Set the column above that does, or say that there are none.',
        options: [{ value: 'natural', words: 'there are none: noted as natural' }],
      },
      bare,
    ) === 'natural';
  if (texts.length === 0) return { verdict: judged, system: judged.system, without };
  const reads = judged.evidence.some((one) => one.reads > 0);
  if (judged.system === undefined && !reads) return { verdict: judged, system: undefined, without };
  const unsure = lines.filter((line) => readColour(colourText(line)).kind === 'ask');
  const answer = findings.ask(
    {
      key: 'colours',
      asks: judged.system === undefined ? judged.because : 'Colours are written in',
      ...(judged.system === undefined ? {} : { because: judged.because }),
      options: COLOUR_SYSTEMS.map((value) => ({ value, words: COLOUR_SYSTEM_WORDS[value] })),
      guess: judged.system,
    },
    unsure,
  );
  const system = answer as ColourSystem | undefined;
  const chosen = system !== judged.system;
  return {
    verdict: chosen ? { ...judged, system, because: 'Read under the system that was chosen.' } : judged,
    system,
    without,
  };
}

/** The colour of a line; one that no system reads is asked by itself. */
function colourOf(
  line: ListLine,
  said: ColoursSaid,
  findings: Findings,
): CellOutcome<WireColour> | { readonly ok: 'ask' } {
  const text = colourText(line);
  if (text === '') {
    if (said.without) return { ok: true, value: { base: 'natural' } };
    if (!HAS_COLOUR.some((field) => line.columns.has(field))) return { ok: 'ask' };
    if (findings.isOpen('blank:colour', line)) return { ok: 'ask' };
    return bad('The colour is missing.', 'Give it, or write “same” where it is as above.');
  }
  if (/^[/\\|,;+-]/.test(text.trim()))
    return bad(
      `There is a stripe, ${text.trim().replace(/^[/\\|,;+-]\s*/, '')}, and no base colour.`,
      'Give the base colour, or correct which column holds it.',
    );
  const reading = readColour(text, said.system);
  if (reading.kind === 'read') return { ok: true, value: reading.colour };
  // What may be several in no system yet is asked with the system.
  if (reading.kind === 'ask' && said.system === undefined) return { ok: 'ask' };
  const mayBe = reading.kind === 'ask' ? reading.mayBe : elsewhere(text);
  const answer = findings.ask(
    {
      key: `colour:${formOf(text)}`,
      asks: `Which colour is “${text}”?${reading.kind === 'unread' ? ` ${reading.why}` : ''}`,
      options: mayBe.map((colour) => ({ value: inWords(colour), words: colourInWords(colour) })),
      typed: 'colour',
    },
    line,
    (given) => typedColour(given) !== undefined,
  );
  const colour = answer === undefined ? undefined : typedColour(answer);
  return colour ? { ok: true, value: colour } : { ok: 'ask' };
}

/** What a form may be in any system, or each of its parts loosely. */
function elsewhere(text: string): readonly WireColour[] {
  const reading = readColour(text);
  if (reading.kind === 'read') return [reading.colour];
  return reading.kind === 'ask' ? reading.mayBe : [];
}

function sizeSaid({ cells }: ListLine): { readonly field: PinoutField; readonly reading: SizeReading } | undefined {
  const { size = '', sizeMm2 = '', sizeAwg = '' } = cells;
  if (!saysNothing(sizeMm2) && !saysNothing(sizeAwg)) {
    const area = readNumber(sizeMm2.replace(/\s*(?:mm²|mm2|sq)$/i, ''));
    const label = /^(?:awg|#)?\s*(\d{1,2}(?:\/0)?)\s*(?:awg)?$/i.exec(sizeAwg)?.[1];
    if (area !== undefined && label !== undefined) return { field: 'sizeAwg', reading: sizeFromBoth(area, label) };
  }
  if (!saysNothing(sizeMm2) && !saysNothing(size)) {
    const area = readSize(sizeMm2, 'metric');
    if (area.ok === true) return { field: 'size', reading: sizeBeside(size, areaMm2(area.value)) };
  }
  if (!saysNothing(sizeMm2)) return { field: 'sizeMm2', reading: readSize(sizeMm2, 'metric') };
  if (!saysNothing(sizeAwg)) return { field: 'sizeAwg', reading: readSize(sizeAwg, 'awg') };
  return saysNothing(size) ? undefined : { field: 'size', reading: readSize(size) };
}

const typedSize = (text: string): WireSize | undefined => {
  const read = readSize(text);
  return read.ok === true ? read.value : undefined;
};

/** The size of wires whose list has no column for it: asked once. */
function sizeOfAll(line: ListLine, findings: Findings): WireSize | undefined {
  // A column of which it is asked what it holds may be that.
  if (findings.openAs('column:', line)) return undefined;
  const answer = findings.ask(
    {
      key: 'noSizes',
      asks: 'No column holds sizes. Set the column above that does, or write the size of all these wires, such as 0.75 mm² or 18 AWG.',
      options: [],
      typed: 'size',
    },
    line,
    (given) => typedSize(given) !== undefined,
  );
  return answer === undefined ? undefined : typedSize(answer);
}

/** The size of a line; a form that may be several is asked, once for all lines that have it. */
function sizeOf(line: ListLine, findings: Findings, blame: Blame): WireSize | undefined {
  const said = sizeSaid(line);
  if (!said) {
    if (findings.isOpen('blank:size', line)) return undefined;
    const [field] = (['size', 'sizeMm2', 'sizeAwg', 'wire'] as const).filter((one) => line.columns.has(one));
    if (field === undefined) return sizeOfAll(line, findings);
    return blame(field, 'The wire size is missing.', 'Give it, or write “same” where it is as above.');
  }
  const { field, reading } = said;
  if (reading.ok === true) return reading.value;
  if (reading.ok === false) return blame(field, reading.why, reading.remedy);
  const answer = findings.ask(
    {
      key: `size:${reading.form}`,
      asks: `What is size “${reading.form}”? It has no unit that settles it.`,
      options: sizeOptions(reading.form),
    },
    line,
  );
  const settled = answer === undefined ? undefined : settledSize(reading.form, answer as SizeBasis);
  return settled?.ok ? settled.value : undefined;
}

/** An outer diameter, mm: "2.4", "2,4 mm", `0.098"`, "0.098 in". */
function readDiameter(text: string, header: string): number | undefined {
  const match = /^[øØ⌀]?\s*(\d+(?:[.,]\d+)?)\s*(mm|"|″|in\.?|inch(?:es)?|zoll)?$/i.exec(text.trim());
  const value = match?.[1] === undefined ? undefined : readNumber(match[1]);
  if (value === undefined) return undefined;
  const unit = match?.[2] ?? (/\b(?:in|inch|inches|zoll)\b|″|"/i.test(header) ? 'in' : 'mm');
  const mm = unit.toLowerCase() === 'mm' ? value : Math.round(value * 25.4 * 1000) / 1000;
  return mm > 0 && mm <= 60 ? mm : undefined;
}

/** The wire of a line, or what is wrong with its cells, or asked. */
export function wireOf(
  line: ListLine,
  said: ColoursSaid,
  headerOf: (field: PinoutField) => string,
  findings: Findings,
  blame: Blame,
): WireSpec | undefined {
  const { jacket = '', wall = '', conductor = '', strands = '', outerDiameter = '' } = line.cells;
  const { wire } = line.cells;
  if (wire !== undefined && !saysNothing(wire) && !splitWire(wire))
    return blame(
      'wire',
      `“${wire}” does not read as a colour and a size.`,
      'Write it as red 2.5 mm², or in two columns.',
    );
  const size = sizeOf(line, findings, blame);
  const colour = colourOf(line, said, findings);
  const jacketRead = readJacket(saysNothing(jacket) ? '' : jacket, saysNothing(wall) ? '' : wall);
  const conductorRead = readConductor(saysNothing(conductor) ? '' : conductor, saysNothing(strands) ? '' : strands);
  if (colour.ok === false)
    blame(
      line.cells.colour === undefined && line.cells.stripe !== undefined ? 'stripe' : 'colour',
      colour.why,
      colour.remedy,
    );
  if (!jacketRead.ok) blame(jacket === '' ? 'wall' : 'jacket', jacketRead.why, jacketRead.remedy);
  if (!conductorRead.ok) blame(strands === '' ? 'conductor' : 'strands', conductorRead.why, conductorRead.remedy);
  const outer = saysNothing(outerDiameter) ? undefined : readDiameter(outerDiameter, headerOf('outerDiameter'));
  if (!saysNothing(outerDiameter) && outer === undefined)
    return blame(
      'outerDiameter',
      `“${outerDiameter}” is not a diameter.`,
      'Write it as 2.4 or 0.094 in, above 0 and at most 60 mm.',
    );
  if (!size || colour.ok !== true || !jacketRead.ok || !conductorRead.ok) return undefined;
  return {
    size,
    conductor: conductorRead.value,
    jacket: outer === undefined ? jacketRead.value : { ...jacketRead.value, outerDiameterMm: outer },
    colour: colour.value,
  };
}
