import type { PinoutField } from './types.ts';

/** Words of a header without case, accents, units and punctuation. */
export const plainHeader = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/mm\s*[²2]\b|mm²/g, 'mm2')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Forms of header words by field; whole headers, plain. */
const FORMS: Record<PinoutField, readonly string[]> = {
  number: [
    'circuit',
    'circuit no',
    'circuit number',
    'circuit nr',
    'circuit id',
    'ckt',
    'ckt no',
    'cct',
    'cct no',
    'wire',
    'wire no',
    'wire number',
    'wire id',
    'no',
    'nr',
    'number',
    'stromkreis',
    'leitung',
    'leitungsnummer',
    'ltg nr',
    'conductor no',
  ],
  function: [
    'function',
    'functions',
    'signal',
    'signal name',
    'description',
    'circuit name',
    'circuit function',
    'circuit description',
    'name',
    'use',
    'purpose',
    'designation',
    'funktion',
    'bezeichnung',
    'beschreibung',
    'wire name',
    'net',
    'net name',
  ],
  kind: ['kind', 'type', 'circuit kind', 'circuit type', 'class', 'signal type', 'art'],
  from: [
    'from',
    'connector pin',
    'connector cavity',
    'conn pin',
    'conn cav',
    'location',
    'source',
    'start',
    'origin',
    'von',
    'end 1',
    'end a',
    'side a',
    'from pin',
    'from connector cavity',
    'from point',
  ],
  fromConnector: [
    'connector',
    'conn',
    'plug',
    'from connector',
    'from conn',
    'from plug',
    'connector a',
    'connector 1',
    'conn a',
    'conn 1',
    'housing',
    'source connector',
    'stecker',
    'from housing',
    'from node',
    'from component',
    'from unit',
    'end a connector',
    'end 1 connector',
    'side a connector',
    'von stecker',
  ],
  fromCavity: [
    'cavity',
    'cav',
    'cav no',
    'cavity no',
    'cavity number',
    'pin',
    'pin no',
    'pin number',
    'pos',
    'position',
    'terminal no',
    'terminal number',
    'way',
    'contact',
    'from cavity',
    'from cav',
    'from pin no',
    'from pin number',
    'pin a',
    'pin 1',
    'cavity a',
    'cavity 1',
    'cav a',
    'cav 1',
    'from position',
    'from terminal no',
    'kammer',
    'source pin',
    'source cavity',
    'end a cavity',
    'end 1 cavity',
    'side a cavity',
    'end a pin',
    'von kammer',
    'von pin',
  ],
  to: [
    'to',
    'destination',
    'dest',
    'target',
    'goes to',
    'nach',
    'end 2',
    'end b',
    'side b',
    'to pin',
    'to connector cavity',
    'to point',
  ],
  toConnector: [
    'to connector',
    'to conn',
    'to plug',
    'connector b',
    'connector 2',
    'conn b',
    'conn 2',
    'destination connector',
    'dest connector',
    'dest conn',
    'target connector',
    'to housing',
    'to node',
    'to component',
    'to unit',
    'goes to connector',
    'mates to',
    'end b connector',
    'end 2 connector',
    'side b connector',
    'nach stecker',
    'far connector',
  ],
  toCavity: [
    'to cavity',
    'to cav',
    'to pin no',
    'to pin number',
    'pin b',
    'pin 2',
    'cavity b',
    'cavity 2',
    'cav b',
    'cav 2',
    'to position',
    'to terminal no',
    'destination pin',
    'destination cavity',
    'dest pin',
    'dest cavity',
    'dest cav',
    'goes to cavity',
    'goes to pin',
    'end b cavity',
    'end 2 cavity',
    'side b cavity',
    'end b pin',
    'nach kammer',
    'nach pin',
    'far cavity',
  ],
  size: [
    'size',
    'wire size',
    'gauge',
    'wire gauge',
    'cross section',
    'section',
    'csa',
    'area',
    'wire area',
    'querschnitt',
    'conductor size',
    'ga',
  ],
  sizeMm2: [
    'mm2',
    'size mm2',
    'sq mm',
    'sqmm',
    'sq',
    'section mm2',
    'cross section mm2',
    'csa mm2',
    'area mm2',
    'wire size mm2',
    'wire area mm2',
    'metric size',
    'querschnitt mm2',
    'gauge mm2',
    'qmm',
    'size sq',
    'copper mm2',
    'wire mm2',
  ],
  sizeAwg: [
    'awg',
    'size awg',
    'gauge awg',
    'awg size',
    'awg gauge',
    'wire size awg',
    'wire gauge awg',
    'awg no',
    'wire awg',
  ],
  colour: [
    'colour',
    'color',
    'wire colour',
    'wire color',
    'col',
    'clr',
    'colour code',
    'color code',
    'base colour',
    'base color',
    'main colour',
    'main color',
    'farbe',
    'primary color',
    'primary colour',
    'insulation colour',
    'insulation color',
    'jacket colour',
    'jacket color',
    'wire col',
    'colours',
    'colors',
    'primary',
    'colour 1',
    'color 1',
    '1st colour',
    '1st color',
    'colour a',
    'color a',
    'farbe 1',
    'base',
    'ground colour',
    'background colour',
    'background color',
  ],
  stripe: [
    'stripe',
    'stripe colour',
    'stripe color',
    'tracer',
    'tracer colour',
    'tracer color',
    'secondary color',
    'secondary colour',
    'second colour',
    'second color',
    'stripe col',
    'streifen',
    '2nd colour',
    '2nd color',
    'colour 2',
    'color 2',
    'secondary',
    'colour b',
    'color b',
    'farbe 2',
  ],
  conductor: ['conductor', 'strand type', 'conductor type', 'core', 'stranded or solid', 'construction'],
  strands: ['strands', 'strand count', 'no of strands', 'number of strands', 'stranding'],
  jacket: [
    'jacket',
    'insulation',
    'insulation type',
    'jacket type',
    'insulation material',
    'jacket material',
    'isolation',
    'wire type',
    'cable type',
  ],
  wall: ['wall', 'jacket wall', 'wall type', 'insulation wall'],
  outerDiameter: [
    'outer diameter',
    'outer diameter mm',
    'outside diameter',
    'outside diameter mm',
    'od',
    'od mm',
    'diameter',
    'diameter mm',
    'jacket diameter',
    'jacket diameter mm',
    'jacket od',
    'wire od',
    'dia',
    'insulation od',
  ],
  fuse: [
    'fuse',
    'fuse a',
    'fuse rating',
    'fuse amps',
    'fuse rating a',
    'sicherung',
    'fused',
    'fuse size',
    'protection',
    'breaker',
  ],
  load: [
    'load',
    'load a',
    'current',
    'current a',
    'load current',
    'amps',
    'amp',
    'load amps',
    'max current',
    'strom',
    'load current a',
    'nominal current',
  ],
  pair: [
    'pair',
    'pair with',
    'paired with',
    'twisted with',
    'twisted pair',
    'pair partner',
    'partner',
    'twist',
    'twisted',
  ],
  runs: ['runs', 'through runs', 'run', 'through', 'route', 'segments', 'via'],
  fromTerminal: [
    'terminal',
    'terminal family',
    'from terminal',
    'terminal type',
    'contact type',
    'end a terminal',
    'from contact',
    'terminal a',
  ],
  fromSeal: ['seal', 'wire seal', 'from seal', 'seal or plug', 'seal a', 'seal state'],
  toTerminal: ['to terminal', 'end b terminal', 'to contact', 'terminal b', 'destination terminal'],
  toSeal: ['to seal', 'end b seal', 'destination seal', 'seal b'],
};

const BY_FORM = new Map<string, PinoutField>(
  Object.entries(FORMS).flatMap(([field, forms]) => forms.map((form) => [form, field as PinoutField] as const)),
);

/** What comes to stand in the "to" half when a header is there a second time. */
const SECOND: Partial<Record<PinoutField, PinoutField>> = {
  fromConnector: 'toConnector',
  fromCavity: 'toCavity',
  fromTerminal: 'toTerminal',
  fromSeal: 'toSeal',
};

/** The field that a header means by itself, with its unit: "Size (mm²)" is sizeMm2. */
export function fieldOfHeader(header: string): PinoutField | undefined {
  const plain = plainHeader(header);
  const direct = BY_FORM.get(plain);
  if (direct !== undefined) return direct;
  const withoutNoise = plain
    .replace(/\b(the|of|in|a|amps?|mm|code|and|or)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const field = BY_FORM.get(withoutNoise);
  if (field === 'size' && /\bmm2\b|\bsq\b/.test(plain)) return 'sizeMm2';
  if (field === 'size' && /\bawg\b/.test(plain)) return 'sizeAwg';
  return field;
}

/** What each column of a header row means; a doubled connector or cavity is the far end's, and no field is taken twice. */
export function matchHeaders(headers: readonly string[], above: readonly string[] = []): (PinoutField | null)[] {
  const taken = new Set<PinoutField>();
  let group = '';
  return headers.map((header, index) => {
    group = (above[index] ?? '').trim() === '' ? group : (above[index] ?? '');
    const joint = group === '' || header.trim() === '' ? undefined : fieldOfHeader(`${group} ${header}`);
    let field = joint ?? fieldOfHeader(header);
    if (field !== undefined && taken.has(field)) field = SECOND[field];
    if (field === undefined || taken.has(field)) return null;
    taken.add(field);
    return field;
  });
}

/** How far down a header row is looked for. */
const LOOK_ROWS = 25;

/** Finds the row of headers: the one, among the first, of which most columns are known; -1 when no row has two that are. */
export function findHeaderRow(rows: readonly (readonly string[])[]): number {
  let best = -1;
  let most = 1;
  rows.slice(0, LOOK_ROWS).forEach((row, index) => {
    const known = matchHeaders(row, groupsAbove(rows, index)).filter((field) => field !== null).length;
    if (known > most) [best, most] = [index, known];
  });
  return best;
}

/** The row over a header row where it names groups such as From and To over several columns. */
export function groupsAbove(rows: readonly (readonly string[])[], headerRow: number): readonly string[] {
  const above = rows[headerRow - 1] ?? [];
  return above.some((cell) => /^\s*(from|to|end ?[ab12]|side ?[ab]|source|dest(ination)?|von|nach)\s*$/i.test(cell))
    ? above
    : [];
}
