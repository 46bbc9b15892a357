import { useEffect, useState } from 'react';
import {
  cavitiesOf,
  comeToSame,
  LOCK_FAMILIES,
  usualWays,
  type ConnectorFace,
  type LockFamily,
  type Numbering,
  type Way,
} from '@mendum/core/connector';
import {
  QUICK_CONNECTOR_DAMAGES,
  QUICK_PLACES,
  quickConnectorOf,
  type QuickConnector,
  type QuickConnectorDamage,
  type QuickPlace,
} from '@mendum/core/quick';
import { USUAL_CONDUCTOR, USUAL_JACKET, type WireColour, type WireSize } from '@mendum/core/wire';
import { keep, recall } from '../../app/kept.ts';

/** A wire where it was tapped: in a cavity. */
export interface Seated {
  readonly cavity: string;
  readonly colour: WireColour;
  readonly size: WireSize;
}

/** Which of the two connectors is tapped: the one that was found, or the one that takes its place. */
export type Which = 'wires' | 'pigtail';

/** What has been tapped so far. */
export interface ConnectorDraft {
  readonly shape: 'rows' | 'ring';
  readonly rows: number;
  readonly columns: number;
  readonly ring: number;
  /** How rows are numbered, seen from the side that the wires enter; row by row from the top left where nothing is said. */
  readonly way?: Numbering | undefined;
  readonly wires: readonly Seated[];
  readonly pigtail: readonly Seated[];
  readonly damage?: QuickConnectorDamage | undefined;
  readonly place?: QuickPlace | undefined;
  readonly lock?: LockFamily | undefined;
  readonly slackMm?: number | undefined;
  /** What was said otherwise than it is assumed; another place brings its own zone. */
  readonly changed?: ConnectorChange | undefined;
}

/** What may be said otherwise than it is assumed. */
export type ConnectorChange = Partial<
  Pick<QuickConnector, 'zone' | 'circuitKind' | 'systemVoltageV' | 'openMm' | 'where'>
>;

/** What is kept of a change of a connector. */
const CHANGES = ['zone', 'circuitKind', 'systemVoltageV', 'openMm', 'where'] as const;
export const withChange = (draft: ConnectorDraft, changed: Partial<QuickConnector>): ConnectorDraft => ({
  ...draft,
  changed: {
    ...draft.changed,
    ...Object.fromEntries(CHANGES.flatMap((name) => (name in changed ? [[name, changed[name]] as const] : []))),
  },
});
export const atPlace = (draft: ConnectorDraft, place: QuickPlace): ConnectorDraft => {
  const { zone: _, ...changed } = draft.changed ?? {};
  return { ...draft, place, changed };
};

export const NO_CONNECTOR: ConnectorDraft = {
  shape: 'rows',
  rows: 1,
  columns: 2,
  ring: 4,
  wires: [],
  pigtail: [],
};

/** Numbered as nothing else is said. */
const ROW_BY_ROW: Numbering = { kind: 'rowWise' };

/** What a connector may have: rows of so many, or a ring. */
export const LIMITS = { rows: [1, 5], columns: [1, 12], ring: [2, 24] } as const;

/** Its face as somebody sees it who looks at the wires. */
export const faceOf = ({ shape, rows, columns, ring, way }: ConnectorDraft): ConnectorFace => ({
  describedFrom: 'wire',
  layout: shape === 'rows' ? { kind: 'rows', rows, columns } : { kind: 'round', rings: [{ count: ring }] },
  numbering: (shape === 'rows' ? way : undefined) ?? ROW_BY_ROW,
});

/** The ways in which rows of this many may be numbered, the most usual first. */
export const waysOf = ({ rows, columns }: ConnectorDraft): readonly Way[] => usualWays({ kind: 'rows', rows, columns });

/** Whether rows are numbered in a way: what it comes to counts, not how it is said. */
export const isWayOf = ({ rows, columns, way = ROW_BY_ROW }: ConnectorDraft, { numbering }: Way): boolean =>
  comeToSame({ kind: 'rows', rows, columns }, way, numbering);

/** Those wires whose cavity is there: the others come back with their cavities. */
function there(draft: ConnectorDraft, which: Which): readonly Seated[] {
  const cavities = new Set(cavitiesOf(faceOf(draft)).map(({ cavity }) => cavity));
  return draft[which].filter(({ cavity }) => cavities.has(cavity));
}

/** A wire put into a cavity; the same one tapped again is taken out. */
export function tapped(draft: ConnectorDraft, which: Which, wire: Seated): ConnectorDraft {
  const others = draft[which].filter(({ cavity }) => cavity !== wire.cavity);
  const before = draft[which].find(({ cavity }) => cavity === wire.cavity);
  const isSame =
    before !== undefined && JSON.stringify([before.colour, before.size]) === JSON.stringify([wire.colour, wire.size]);
  return { ...draft, [which]: isSame ? others : [...others, wire] };
}

const specOf = ({ cavity, colour, size }: Seated) => ({
  cavity,
  wire: { size, conductor: USUAL_CONDUCTOR, jacket: USUAL_JACKET, colour },
});

/** The circuits that a connector's drawing shows, for either of the two. */
export const seatsOf = (draft: ConnectorDraft, which: Which) => there(draft, which).map(specOf);

/** The connector as far as it can be planned: a wire in it, what happened, where it is. */
export function connectorOf(draft: ConnectorDraft): QuickConnector | undefined {
  const { damage, place, slackMm, lock, changed } = draft;
  const wires = seatsOf(draft, 'wires');
  if (damage === undefined || place === undefined || wires.length === 0) return undefined;
  const quick = quickConnectorOf({ face: faceOf(draft), wires, damage, place, pigtail: there(draft, 'pigtail') });
  return {
    ...quick,
    ...changed,
    ...(slackMm === undefined ? {} : { slackMm }),
    ...(lock === undefined ? {} : { lock }),
  };
}

/** What still has to be tapped, as it is called on the page. */
export const missingFrom = (draft: ConnectorDraft): string[] => [
  ...(there(draft, 'wires').length === 0 ? ['a wire into its cavity'] : []),
  ...(draft.damage === undefined ? ['what happened'] : []),
  ...(draft.place === undefined ? ['where it is'] : []),
];

const KEY = 'mendum.quickConnector';
const isCount = (value: unknown, [least, most]: readonly [number, number]): boolean =>
  Number.isInteger(value) && Number(value) >= least && Number(value) <= most;

const isObject = (value: unknown): boolean => typeof value === 'object' && value !== null;

/** On a square of nine all usual ways differ: a way that is none of them counts as damaged. */
function isUsualWay(way: Numbering | undefined): boolean {
  const nine = { ...NO_CONNECTOR, rows: 3, columns: 3, way };
  try {
    return way === undefined || waysOf(nine).some((usual) => isWayOf(nine, usual));
  } catch {
    return false;
  }
}

/** What was kept before ways were tapped said on which side number 1 is. */
const asItIsNow = ({ fromRight, ...kept }: Partial<ConnectorDraft> & { readonly fromRight?: unknown }) =>
  fromRight === true && kept.way === undefined ? { ...kept, way: { ...ROW_BY_ROW, fromRight: true } } : kept;

/** A draft that this device kept; a damaged one counts as none. */
function remembered(): ConnectorDraft {
  const kept = recall(KEY) as Partial<ConnectorDraft> | undefined;
  const isWhole =
    kept !== undefined &&
    (kept.shape === 'rows' || kept.shape === 'ring') &&
    isCount(kept.rows, LIMITS.rows) &&
    isCount(kept.columns, LIMITS.columns) &&
    isCount(kept.ring, LIMITS.ring) &&
    Array.isArray(kept.wires) &&
    Array.isArray(kept.pigtail) &&
    (kept.changed === undefined || isObject(kept.changed)) &&
    isUsualWay(kept.way) &&
    (kept.lock === undefined || LOCK_FAMILIES.includes(kept.lock)) &&
    (kept.damage === undefined || QUICK_CONNECTOR_DAMAGES.includes(kept.damage)) &&
    (kept.place === undefined || QUICK_PLACES.includes(kept.place));
  return isWhole ? (asItIsNow(kept) as ConnectorDraft) : NO_CONNECTOR;
}

/** What is being tapped, kept on this device until it has become a job. */
export function useConnectorDraft() {
  const [draft, setDraft] = useState(remembered);
  useEffect(() => keep(KEY, draft === NO_CONNECTOR ? undefined : draft), [draft]);
  return [draft, setDraft] as const;
}
