import type { Job } from '@mendum/core/job';
import { DUNMARRA, FERRY, RAMP, REAR_LOOM, TESSIMO, TRACTION } from './otherHarnesses.ts';
import { dayFrom, momentFrom } from './parts.ts';

const isolated = (today: Date, days: number, by: string): Job['gate'] => ({
  isolation: { how: 'provedDead', by, at: momentFrom(today, days, 7, 30) },
});
const rest = { choices: [], pins: [], redos: [] } as const;

/** Open: earlier poor splices on the tractor, gone green. */
export const tractorJob = (today: Date): Job => ({
  id: 'demo-0146',
  number: '0146',
  title: 'Rear loom W5, salt',
  asOf: dayFrom(today, -1),
  machine: DUNMARRA,
  harness: REAR_LOOM,
  gate: isolated(today, -1, 'Marek Osei'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C21',
      runId: 'R1',
      kind: 'poorRepair',
      fromMm: 610,
      toMm: 640,
      cutBackLeftMm: 12,
      cutBackRightMm: 15,
      slackMm: 20,
      note: 'Bare butt splice under tape, green.',
    },
    {
      id: 'F2',
      circuitId: 'C22',
      runId: 'R1',
      kind: 'poorRepair',
      fromMm: 615,
      toMm: 642,
      cutBackLeftMm: 10,
      cutBackRightMm: 8,
      slackMm: 20,
      note: 'Twisted and taped.',
    },
    {
      id: 'F3',
      circuitId: 'C24',
      runId: 'R1',
      kind: 'strandsLost',
      fromMm: 1150,
      toMm: 1156,
      cutBackLeftMm: 4,
      cutBackRightMm: 4,
      slackMm: 25,
      strandsLost: 5,
      strandsTotal: 37,
    },
  ],
});

/** Open: high voltage by shop rule, so it stops at the gate. */
export const tugJob = (today: Date): Job => ({
  id: 'demo-0145',
  number: '0145',
  title: 'Drive loom W2, chafed cable',
  asOf: dayFrom(today, -2),
  machine: TESSIMO,
  harness: TRACTION,
  gate: {},
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C51',
      runId: 'R1',
      kind: 'jacketRubbed',
      fromMm: 300,
      toMm: 325,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
    },
    {
      id: 'F2',
      circuitId: 'C52',
      runId: 'R1',
      kind: 'parted',
      fromMm: 306,
      toMm: 310,
      cutBackLeftMm: 2,
      cutBackRightMm: 2,
      slackMm: 25,
    },
  ],
});

/** Finished: the ferry's stationary dry box, by the bench-solder practice. */
export const ferryJob = (today: Date): Job => ({
  id: 'demo-0131',
  number: '0131',
  title: 'Ramp lamp feed, box loom W1',
  asOf: dayFrom(today, -41),
  machine: FERRY,
  harness: RAMP,
  gate: isolated(today, -41, 'Marek Osei'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C61',
      runId: 'R1',
      kind: 'parted',
      fromMm: 330,
      toMm: 334,
      cutBackLeftMm: 3,
      cutBackRightMm: 3,
      slackMm: 45,
    },
  ],
});

/** Finished: failed the first time and made again, with the wire that it cost. */
export const tractorMotorJob = (today: Date): Job => ({
  id: 'demo-0126',
  number: '0126',
  title: 'Sieve motor feed',
  asOf: dayFrom(today, -52),
  machine: DUNMARRA,
  harness: REAR_LOOM,
  gate: isolated(today, -52, 'Marek Osei'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C25',
      runId: 'R1',
      kind: 'cooked',
      fromMm: 700,
      toMm: 720,
      cutBackLeftMm: 15,
      cutBackRightMm: 15,
      slackMm: 110,
      note: 'Cause: sieve bearing dry, motor overloaded; bearing changed.',
    },
  ],
});

/** Finished: temporary, due soon. */
export const tractorBrakeJob = (today: Date): Job => ({
  id: 'demo-0138',
  number: '0138',
  title: 'Brake lamp feed, on the beach',
  asOf: dayFrom(today, -20),
  machine: DUNMARRA,
  harness: REAR_LOOM,
  gate: isolated(today, -20, 'Ines Valdur'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C23',
      runId: 'R1',
      kind: 'parted',
      fromMm: 480,
      toMm: 486,
      cutBackLeftMm: 5,
      cutBackRightMm: 5,
      slackMm: 40,
      temporaryUntil: dayFrom(today, 10),
      note: 'Spliced on site; the whole feed is renewed when the loom comes out.',
    },
  ],
});

/** Finished: a cover, temporary and overdue. */
export const tugSeatJob = (today: Date): Job => ({
  id: 'demo-0122',
  number: '0122',
  title: 'Seat switch, jacket rubbed',
  asOf: dayFrom(today, -63),
  machine: TESSIMO,
  harness: TRACTION,
  gate: isolated(today, -63, 'Ines Valdur'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C52',
      runId: 'R1',
      kind: 'jacketRubbed',
      fromMm: 700,
      toMm: 715,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
      temporaryUntil: dayFrom(today, -3),
      note: 'No end could be freed on the apron.',
    },
  ],
});
