import { LOCK_FAMILIES, RELEASE_GUIDES } from '../connector/index.ts';
import { figure } from '../units/index.ts';
import type {
  HousingPart,
  JacketRange,
  LockPiecePart,
  PigtailPart,
  PlugPart,
  PottingPart,
  WireSealPart,
} from './ends.ts';
import { areaField, choiceField, countField, jacketFields, mmField, type PartKind } from './kind.ts';
import { HOUSINGS, LOCK_PIECES, PIGTAILS, PLUGS, POTTINGS, WIRE_SEALS } from './usualEnds.ts';

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

export const HOUSING: PartKind<HousingPart> = {
  kind: 'housing',
  words: 'housing',
  group: 'housings',
  fields: [lock, ways],
  fits: (part) => `${part.ways}-way`,
  usual: HOUSINGS,
};

export const LOCK_PIECE: PartKind<LockPiecePart> = {
  kind: 'lockPiece',
  words: 'lock piece',
  group: 'housings',
  fields: [lock, ways],
  fits: (part) => `${part.ways}-way`,
  usual: LOCK_PIECES,
};

export const PIGTAIL: PartKind<PigtailPart> = {
  kind: 'pigtail',
  words: 'pigtail',
  group: 'housings',
  fields: [ways, areaField('areaMm2', 'Copper of each wire'), mmField('leadMm', 'Wire length')],
  fits: (part) => `${part.ways}-way, ${figure(part.areaMm2)} mm², ${figure(part.leadMm, 0)} mm long`,
  usual: PIGTAILS,
};
