import { identityInWords, LOCK_FAMILIES, RELEASE_GUIDES } from '../connector/index.ts';
import { HOUSING_FAMILIES, terminalInWords } from '../harness/index.ts';
import { figure } from '../units/index.ts';
import type {
  ConnectorKitPart,
  ConnectorPart,
  HousingPart,
  JacketRange,
  LockPiecePart,
  PigtailPart,
  PlugPart,
  PottingPart,
  WireSealPart,
} from './ends.ts';
import {
  areaField,
  choiceField,
  countField,
  jacketFields,
  mayLack,
  mmField,
  rangeFields,
  rangeInWords,
  textField,
  type PartField,
  type PartKind,
} from './kind.ts';
import { CONNECTOR_KITS, HOUSINGS, LOCK_PIECES, PIGTAILS, PLUGS, POTTINGS, WIRE_SEALS } from './usualEnds.ts';

const MOST_WAYS = 400;
const ways = countField('ways', 'Ways', 1, MOST_WAYS);
const lock = choiceField(
  'lock',
  'Lock family',
  LOCK_FAMILIES.map((value) => ({ value, words: RELEASE_GUIDES[value].name })),
);
const jackets = (range: JacketRange): string => `jacket ${figure(range.minMm)}–${figure(range.maxMm)} mm`;

export const WIRE_SEAL: PartKind<WireSealPart> = {
  kind: 'wireSeal',
  words: 'wire seal',
  group: 'seals',
  fields: jacketFields(),
  fits: (part) => jackets(part.jacketMm),
  usual: WIRE_SEALS,
};

export const PLUG: PartKind<PlugPart> = {
  kind: 'plug',
  words: 'plug',
  group: 'seals',
  fields: [],
  fits: () => 'an unused cavity',
  usual: PLUGS,
};

export const POTTING: PartKind<PottingPart> = {
  kind: 'potting',
  words: 'potting',
  group: 'solder',
  fields: [],
  fits: () => 'the back of a soldered pin',
  usual: POTTINGS,
};

/** How a connector's part is known. */
const known: readonly PartField[] = [
  textField('family', 'Family'),
  textField('keying', 'Keying'),
  textField('partNumber', 'Part number'),
];
/** "4-way, family KD, keying B". */
const connector = (part: ConnectorPart): string =>
  [`${part.ways}-way`, identityInWords(part)].filter((words) => words !== '').join(', ');

export const HOUSING: PartKind<HousingPart> = {
  kind: 'housing',
  words: 'housing',
  group: 'housings',
  fields: [lock, ways, ...known],
  fits: connector,
  usual: HOUSINGS,
};

export const LOCK_PIECE: PartKind<LockPiecePart> = {
  kind: 'lockPiece',
  words: 'lock piece',
  group: 'housings',
  fields: [lock, ways, ...known],
  fits: connector,
  usual: LOCK_PIECES,
};

export const CONNECTOR_KIT: PartKind<ConnectorKitPart> = {
  kind: 'connectorKit',
  words: 'connector kit',
  group: 'housings',
  fields: [
    lock,
    ways,
    ...known,
    choiceField(
      'terminal',
      'Terminals',
      HOUSING_FAMILIES.map((value) => ({ value, words: terminalInWords(value) })),
    ),
    ...rangeFields('range'),
    ...jacketFields(true),
    mmField('stripMm', 'Strip'),
    ...jacketFields(true, 'sealMm', 'Seals for jackets'),
  ],
  fits: (part) =>
    `${connector(part)}, ${terminalInWords(part.terminal)}, ${rangeInWords(part.range)}${part.sealMm ? ', sealed' : ''}`,
  usual: CONNECTOR_KITS,
};

/** "4 wires of 0.75–1.5 mm²", or "1.5 mm²" where all are alike. */
function copperOf({ areaMm2, leads = [] }: PigtailPart): string {
  if (leads.length === 0) return `${figure(areaMm2 ?? 0)} mm²`;
  const areas = leads.map((lead) => lead.areaMm2);
  const [least, most] = [Math.min(...areas), Math.max(...areas)];
  return `${leads.length} wires of ${figure(least)}${most > least ? `–${figure(most)}` : ''} mm²`;
}

export const PIGTAIL: PartKind<PigtailPart> = {
  kind: 'pigtail',
  words: 'pigtail',
  group: 'housings',
  fields: [
    ways,
    ...known,
    mayLack(areaField('areaMm2', 'Copper of each wire')),
    { path: 'leads', title: 'Its wires', type: 'leads', from: 0, to: MOST_WAYS, optional: true },
    mmField('leadMm', 'Wire length'),
  ],
  fits: (part) => `${connector(part)}, ${copperOf(part)}, ${figure(part.leadMm, 0)} mm long`,
  problem: ({ areaMm2, leads, ways: count }) =>
    areaMm2 === undefined && (leads === undefined || leads.length === 0)
      ? 'Say the copper of its wires: of each, or wire by wire.'
      : leads !== undefined && leads.length > count
        ? `${leads.length} wires cannot come out of ${count} cavities.`
        : undefined,
  usual: PIGTAILS,
};
