import type { KeepOut } from '../../harness/index.ts';
import { legalPlaces, wishes } from '../place.ts';
import type { LayoutItem, LyingBody, Pin, RunToLayOut } from '../types.ts';
import { randomRun, seeded } from './randomRun.ts';

/** What makes a run awkward. Each run has one of them for certain, and others by chance. */
const SORTS = ['pairs', 'pins', 'sliding', 'keptOut', 'unequal', 'earlier', 'leads', 'long', 'confined'] as const;
type Sort = (typeof SORTS)[number];
const sortOf = (seed: number): Sort => SORTS[seed % SORTS.length] ?? 'pairs';

/** A run of any sort with up to so many findings: pairs, pins, rows that slide, keep-outs on both sides, unequal bodies, covers, leads. */
export function anyRun(seed: number, most = 4): RunToLayOut {
  const random = seeded(seed + 31_337);
  for (let turn = 0; turn < 5; turn += 1) random();
  const has = (sort: Sort): boolean => {
    const luck = random();
    return sortOf(seed) === sort || luck < 0.18;
  };
  const between = (from: number, to: number): number => Math.round(from + (to - from) * random());
  const lengthMm = [420, 700, 900, 1400][between(0, 3)] ?? 900;
  const run = randomRun(seed, { items: between(most - 2, most), lengthMm });
  let items: LayoutItem[] = [...run.items];
  let keepOuts: KeepOut[] = [...run.keepOuts];
  if (has('sliding')) {
    const middleMm = between(200, lengthMm - 200);
    keepOuts = keepOuts.filter(({ kind }) => kind === 'connector');
    items = items.map((item) => {
      const fromMm = middleMm + between(-15, 15);
      return { ...item, lost: { fromMm, toMm: fromMm + between(2, 14) } };
    });
  }
  if (has('long'))
    items = items.map((item) => {
      const long = Math.min(between(180, 320), lengthMm - 300);
      const fromMm = between(130, Math.max(131, lengthMm - 130 - long));
      const two = item.twoJoints ?? item.joints;
      return { ...item, lost: { fromMm, toMm: fromMm + long }, joints: two, twoJoints: undefined, slackMm: 0 };
    });
  if (has('keptOut')) {
    const [first] = items;
    const at = first?.lost ?? { fromMm: 200, toMm: 220 };
    keepOuts = [
      ...keepOuts,
      { kind: 'grommet', name: 'wall', fromMm: at.fromMm - between(60, 120), toMm: at.fromMm - between(20, 50) },
      { kind: 'branch', name: 'B', fromMm: at.toMm + between(15, 60), toMm: at.toMm + between(70, 130) },
    ];
  }
  if (has('unequal'))
    items = items.map((item) => {
      const [bodyLengthMm, bodyDiameterMm] = [between(14, 70), between(40, 110) / 10];
      const other = (joint: LayoutItem['joints'][number]) => ({ ...joint, bodyLengthMm, bodyDiameterMm });
      return { ...item, joints: item.joints.map(other), twoJoints: item.twoJoints?.map(other) };
    });
  if (has('confined'))
    items = items.map((item) =>
      random() < 0.5
        ? item
        : { ...item, within: { fromMm: item.lost.fromMm - between(45, 200), toMm: item.lost.toMm + between(45, 200) } },
    );
  if (has('leads'))
    items = items.map((item, index) => {
      if (index > 0) return { ...item, extraMm: random() < 0.3 ? between(5, 40) : undefined };
      const atStart = random() < 0.5;
      const long = between(60, 200);
      return {
        findingId: item.findingId,
        circuitId: item.circuitId,
        joints: item.joints.slice(0, 1),
        slackMm: 0,
        lost: atStart ? { fromMm: 0, toMm: long } : { fromMm: lengthMm - long, toMm: lengthMm },
        lead: { atStart, terminalTakesMm: 6, ...(random() < 0.4 ? { mostMm: long + 200 } : {}) },
      };
    });
  if (has('pairs')) {
    const able = items.filter(({ lead }) => !lead).slice(0, 2);
    const ids = able.map(({ findingId }) => findingId);
    const [a, b] = ids;
    if (a && b)
      items = items.map((item) =>
        ids.includes(item.findingId)
          ? {
              ...item,
              joints: item.twoJoints ?? item.joints,
              twoJoints: undefined,
              slackMm: 0,
              pairFindingId: item.findingId === a ? b : a,
            }
          : item,
      );
  }
  const lying: LyingBody[] = [];
  if (has('earlier'))
    for (let index = 0, count = between(1, 5); index < count; index += 1) {
      const fromMm = between(60, lengthMm - 110);
      lying.push({
        kind: random() < 0.6 ? 'splice' : 'cover',
        circuitId: `C${items.length + (index % 6)}`,
        fromMm,
        toMm: fromMm + between(20, 60),
        diameterMm: between(4, 8),
        words: 'sealed butt, job 0126',
      });
    }
  const made: RunToLayOut = { ...run, items, keepOuts, ...(lying.length > 0 ? { lying } : {}) };
  return has('pins') ? { ...made, pins: pinsOn(made, random) } : made;
}

/** One or two splices put somewhere legal. */
function pinsOn(run: RunToLayOut, random: () => number): Pin[] {
  return run.items.slice(0, random() < 0.5 ? 1 : 2).flatMap((item): Pin[] => {
    const [one] = wishes(item);
    const rooms = one ? legalPlaces(run, one.wish) : [];
    const room = rooms[Math.floor(random() * rooms.length)];
    return one && room
      ? [
          {
            findingId: item.findingId,
            side: one.side,
            centreMm: Math.round(room.fromMm + random() * (room.toMm - room.fromMm)),
          },
        ].filter(({ centreMm }) => centreMm >= room.fromMm && centreMm <= room.toMm)
      : [];
  });
}
