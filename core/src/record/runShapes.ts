import type { DrawnBody, DrawnRun } from './drawnTypes.ts';

/** What a drawing of a run is put together from; whoever draws it knows how a line, a box or words are written. */
export type Shape =
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly look: Look;
    }
  | {
      readonly kind: 'box';
      readonly x: number;
      readonly y: number;
      readonly wide: number;
      readonly high: number;
      readonly round: number;
      readonly look: Look;
    }
  | {
      readonly kind: 'words';
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly size: number;
      readonly look: 'ink' | 'soft';
    };
/** A wire, a rule, what is made now, what was there before (dashed); a cavity, and one that was worked on. */
type Look = 'wire' | 'rule' | 'now' | 'before' | 'plain' | 'touched';

/** Names stand left of the run; the rest is its length. */
const NAMES = 118;
const RULER = 26;
const ROW = 24;
const FOOT = 6;
const HALF_BODY = 5;
/** So many steps of the ruler at most. */
const STEPS_MOST = 12;
const STEPS_MM = [10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000, 50_000] as const;
/** Figures closer than this would be over each other. */
const FIGURE_ROOM = 26;
const NAME_MOST = 22;

export const runHigh = ({ rows }: DrawnRun): number => RULER + rows.length * ROW + FOOT;

const cut = (words: string): string => (words.length > NAME_MOST ? `${words.slice(0, NAME_MOST - 1)}…` : words);

/** The figures of a row that have room, and how many have none. */
function figuresOf(bodies: readonly DrawnBody[], x: (mm: number) => number): readonly DrawnBody[] {
  const shown: DrawnBody[] = [];
  for (const body of [...bodies].sort((a, b) => Number(a.earlier) - Number(b.earlier) || a.fromMm - b.fromMm))
    if (shown.every((one) => Math.abs(x(middle(one)) - x(middle(body))) >= FIGURE_ROOM)) shown.push(body);
  return shown;
}
const middle = ({ fromMm, toMm }: DrawnBody): number => (fromMm + toMm) / 2;

/** A run to scale, in a drawing that is so wide: its ruler, and on each wire what was made, with its place in mm. */
export function runShapes(run: DrawnRun, wide: number): readonly Shape[] {
  const [from, to] = [NAMES, wide - 14];
  const x = (mm: number): number => from + ((to - from) * mm) / run.lengthMm;
  const step = STEPS_MM.find((mm) => run.lengthMm / mm <= STEPS_MOST) ?? run.lengthMm;
  const marks = Array.from({ length: Math.floor(run.lengthMm / step) + 1 }, (_one, at) => at * step);
  const ruler: Shape[] = [
    { kind: 'words', x: 0, y: RULER - 8, text: cut(`mm from ${run.fromName}`), anchor: 'start', size: 8, look: 'soft' },
    { kind: 'line', x1: from, y1: RULER - 4, x2: to, y2: RULER - 4, look: 'rule' },
    ...marks.flatMap((mm): Shape[] => [
      { kind: 'line', x1: x(mm), y1: RULER - 8, x2: x(mm), y2: RULER - 4, look: 'rule' },
      { kind: 'words', x: x(mm), y: RULER - 11, text: String(mm), anchor: 'middle', size: 8, look: 'soft' },
    ]),
  ];
  const rows = run.rows.flatMap(({ circuit, bodies }, at): Shape[] => {
    const y = RULER + at * ROW + 15;
    return [
      { kind: 'words', x: 0, y: y + 3, text: cut(circuit), anchor: 'start', size: 9, look: 'ink' },
      { kind: 'line', x1: from, y1: y, x2: to, y2: y, look: 'wire' },
      ...bodies.map((body): Shape => ({
        kind: 'box',
        x: Math.min(x(body.fromMm), to - 3),
        y: y - HALF_BODY,
        wide: Math.max(3, x(body.toMm) - x(body.fromMm)),
        high: 2 * HALF_BODY,
        round: body.kind === 'splice' ? 3 : 0,
        look: body.earlier ? 'before' : 'now',
      })),
      ...figuresOf(bodies, x).map((body): Shape => ({
        kind: 'words',
        x: x(middle(body)),
        y: y - HALF_BODY - 2,
        text: String(Math.round(middle(body))),
        anchor: 'middle',
        size: 7.5,
        look: body.earlier ? 'soft' : 'ink',
      })),
    ];
  });
  return [...ruler, ...rows];
}
