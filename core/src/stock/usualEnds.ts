import { LOCK_FAMILIES, RELEASE_GUIDES } from '../connector/index.ts';
import type {
  ConnectorKitPart,
  HousingPart,
  LockPiecePart,
  PigtailPart,
  PlugPart,
  PottingPart,
  WireSealPart,
} from './ends.ts';
import { usual } from './kind.ts';

const wireSeal = (minMm: number, maxMm: number): WireSealPart => ({
  ...usual,
  kind: 'wireSeal',
  id: `wireSeal-${minMm}–${maxMm}`,
  name: `Wire seal ${minMm}–${maxMm}`,
  jacketMm: { minMm, maxMm },
  ratedC: 125,
});

const HOUSING_WAYS = [2, 3, 4, 6, 8, 12, 14];
const INTO_HOUSINGS = LOCK_FAMILIES.flatMap((lock) =>
  HOUSING_WAYS.map((ways) => ({
    ...usual,
    lock,
    ways,
    of: `${lock}-${ways}`,
    what: `${RELEASE_GUIDES[lock].name.toLowerCase()}, ${ways}-way`,
    ratedC: 125,
  })),
);
export const HOUSINGS: readonly HousingPart[] = INTO_HOUSINGS.map(({ of, what, ...part }) => ({
  ...part,
  kind: 'housing',
  id: `housing-${of}`,
  name: `Housing, ${what}`,
}));
export const LOCK_PIECES: readonly LockPiecePart[] = INTO_HOUSINGS.map(({ of, what, ...part }) => ({
  ...part,
  kind: 'lockPiece',
  id: `lockPiece-${of}`,
  name: `Lock piece, ${what}`,
}));

const pigtail = (ways: number, areaMm2: number): PigtailPart => ({
  ...usual,
  kind: 'pigtail',
  id: `pigtail-${ways}-${areaMm2}`,
  name: `Pigtail ${ways}-way, ${areaMm2} mm², 200 long`,
  ways,
  areaMm2,
  leadMm: 200,
  ratedC: 125,
});

export const WIRE_SEALS: readonly WireSealPart[] = [
  wireSeal(1.2, 1.6),
  wireSeal(1.6, 2.2),
  wireSeal(2.2, 2.9),
  wireSeal(2.9, 3.7),
];
export const PLUGS: readonly PlugPart[] = [{ ...usual, kind: 'plug', id: 'plug', name: 'Cavity plug', ratedC: 125 }];
export const POTTINGS: readonly PottingPart[] = [
  { ...usual, kind: 'potting', id: 'potting', name: 'Potting compound, two parts', ratedC: 125 },
];
export const PIGTAILS: readonly PigtailPart[] = [2, 3, 4, 6].flatMap((ways) => [
  pigtail(ways, 0.75),
  pigtail(ways, 1.5),
  pigtail(ways, 2.5),
]);

const connectorKit = (ways: number): ConnectorKitPart => ({
  ...usual,
  kind: 'connectorKit',
  id: `connectorKit-${ways}`,
  name: `Connector kit ${ways}-way, sealed, 1.5 mm terminals`,
  lock: 'frontLance',
  ways,
  terminal: '1.5',
  range: { minMm2: 0.5, maxMm2: 1.5 },
  jacketMm: { minMm: 1.2, maxMm: 2.4 },
  stripMm: 4.5,
  sealMm: { minMm: 1.2, maxMm: 2.4 },
  ratedC: 125,
});
export const CONNECTOR_KITS: readonly ConnectorKitPart[] = [2, 4, 6].map(connectorKit);
