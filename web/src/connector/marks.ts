import type { CavityMark } from '@mendum/core/operations';

/** Where something lies on a photo, 0 to 1. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

const within = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 1e4) / 1e4;

/** Marks with one set, or set anew. */
export const marked = (marks: readonly CavityMark[], cavity: string, { x, y }: Spot): readonly CavityMark[] => [
  ...marks.filter((mark) => mark.cavity !== cavity),
  { cavity, x: within(x), y: within(y) },
];

/** Marks without one. */
export const unmarked = (marks: readonly CavityMark[], cavity: string): readonly CavityMark[] =>
  marks.filter((mark) => mark.cavity !== cavity);

/** The cavity that is marked next: the first after this one that is not marked, else the first of all. */
export function nextToMark(
  cavities: readonly string[],
  marks: readonly CavityMark[],
  after: string | undefined,
): string | undefined {
  const open = (cavity: string): boolean => !marks.some((mark) => mark.cavity === cavity);
  const from = after === undefined ? 0 : cavities.indexOf(after) + 1;
  return cavities.slice(from).find(open) ?? cavities.find(open);
}

const STEPS: Readonly<Record<string, Spot>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};
/** How far an arrow key moves a mark. */
const STEP = 0.01;

/** Where a mark goes by a key; nothing for keys that move nothing. */
export function movedByKey({ x, y }: Spot, key: string): Spot | undefined {
  const step = STEPS[key];
  return step && { x: within(x + step.x * STEP), y: within(y + step.y * STEP) };
}
