import type { Nest } from '../stock/index.ts';

/** Decimal comma or point; not a number stays text, for the schema to refuse. */
export const numberIn = (text: string): number | string => {
  const plain = text.trim().replace(',', '.');
  return plain !== '' && Number.isFinite(Number(plain)) ? Number(plain) : text;
};

/** A nest in a cell: name | copper | stroke | barrel | dot | families, a dash where nothing is said. */
export const nestCell = ({ name, range, stroke, barrel, dot, families }: Nest): string =>
  [name, `${range.minMm2}-${range.maxMm2}`, stroke, barrel ?? '-', dot ?? '-', families?.join(' ') ?? '-'].join(' | ');

/** A nest as it is written, for the schema to refuse what it is not. */
function nestIn(text: string): unknown {
  const [name = '', copper = '', stroke = '', barrel = '-', dot = '-', families = '-'] = text
    .split('|')
    .map((one) => one.trim());
  const [from = '', to = ''] = copper.split('-');
  return {
    name,
    range: { minMm2: numberIn(from), maxMm2: numberIn(to) },
    stroke,
    ...(barrel === '-' ? {} : { barrel }),
    ...(dot === '-' ? {} : { dot }),
    ...(families === '-' ? {} : { families: families.split(/\s+/) }),
  };
}

/** The nests of a cell, with `;` between. */
export const nestsIn = (text: string): unknown[] =>
  text
    .split(';')
    .filter((one) => one.trim() !== '')
    .map(nestIn);
