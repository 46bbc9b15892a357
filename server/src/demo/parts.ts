import type { ConnectorIdentity, LockFamily } from '@mendum/core/connector';
import type { Circuit, CircuitKind, HarnessNode, TerminalFamily } from '@mendum/core/harness';
import { usualWire, type ColourName, type WireSpec } from '@mendum/core/wire';

/** A stranded, thin-wall, cross-linked wire, as most of the demo's machines have. */
export const wire = (
  areaMm2: number,
  base: ColourName,
  stripe?: ColourName,
  more: Partial<WireSpec> = {},
): WireSpec => ({
  ...usualWire(areaMm2, stripe === undefined ? { base } : { base, stripe }),
  ...more,
});

/** Series of connectors, made up, by the way in which they hold their terminals. */
const SERIES: Readonly<Record<LockFamily, string>> = {
  frontLance: 'Vellin F',
  rearRetainer: 'Vellin R',
  liftedWedge: 'Vellin W',
  slidingLock: 'Vellin S',
  leverBlock: 'Vellin B',
  roundInsert: 'Vellin P',
};
/** What is printed on a connector of a series: the number ends with its cavities. */
export const identityOf = (lock: LockFamily, ways: number): ConnectorIdentity => ({
  family: SERIES[lock],
  partNumber: `${SERIES[lock].replace('ellin ', '')}-${String(ways).padStart(2, '0')}`,
  latch: lock === 'leverBlock' ? 'lever' : 'latch',
  ...(lock === 'frontLance' ? { releaseTool: 'Flat release tool', releaseToolNumber: 'VT-3' } : {}),
});

/** A connector of rows and columns, numbered row by row on its mating side with the latch up. */
export const connector = (id: string, rows: number, columns: number, lock: LockFamily): HarnessNode => ({
  id,
  kind: 'connector',
  name: id,
  ways: rows * columns,
  lock,
  identity: identityOf(lock, rows * columns),
  face: { layout: { kind: 'rows', rows, columns }, numbering: { kind: 'rowWise' } },
});

/** A sealed connector with the terminal of each cavity in use; the others are plugged. */
export const fitted = (
  node: HarnessNode,
  terminals: Readonly<Record<string, TerminalFamily>>,
  plugged: readonly string[] = [],
): HarnessNode => ({
  ...node,
  fittings: {
    ...Object.fromEntries(
      Object.entries(terminals).map(([cavity, terminal]) => [cavity, { terminal, seal: 'seal' as const }]),
    ),
    ...Object.fromEntries(plugged.map((cavity) => [cavity, { seal: 'plug' as const }])),
  },
});

/** A circuit from cavity to cavity; its id is made from its number. */
export const circuit = (
  number: string,
  words: string,
  kind: CircuitKind,
  spec: WireSpec,
  from: readonly [string, string],
  to: readonly [string, string],
  runIds: readonly string[],
  more: Partial<Circuit> = {},
): Circuit => ({
  id: `C${number}`,
  number,
  function: words,
  kind,
  wire: spec,
  from: { nodeId: from[0], cavity: from[1] },
  to: { nodeId: to[0], cavity: to[1] },
  runIds,
  ...more,
});

/** ISO date so many days from a day; the demo never looks stale. */
export const dayFrom = (today: Date, days: number): string =>
  new Date(today.getTime() + days * 86_400_000).toISOString().slice(0, 10);

/** ISO date-time so many days from a day, at an hour of its own. */
export const momentFrom = (today: Date, days: number, hour: number, minute = 0): string =>
  `${dayFrom(today, days)}T${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}:00.000Z`;
