import type { Window } from '../../sizing/index.ts';
import { merged } from '../stretches.ts';
import { TOUCH_MM, type Piece, type Placed } from './problem.ts';
import type { Following } from './orders.ts';
import { keyAfter } from './steps.ts';

/**
 * Pieces one after the other with a gap, by what their span depends on: when the first begins at T (at most
 * `latestMm`), the last ends at max(endMm, T + lengthMm).
 */
interface Label {
  readonly key: string;
  readonly endMm: number;
  readonly latestMm: number;
  readonly lengthMm: number;
  readonly from?: Label | undefined;
  readonly piece?: Piece | undefined;
  readonly room?: Window | undefined;
}

/** The opened stretch of a layout without overlaps: its length and where it may begin. */
export interface Span {
  readonly lengthMm: number;
  /** Places where it can begin. */
  readonly startsMm: readonly number[];
  /** Stretches in which a row without any play may begin anywhere. */
  readonly slides: readonly Window[];
  readonly complete: boolean;
  readonly placed?: readonly Placed[] | undefined;
}

/** Where the stretch begins for it to be shortest, and how long it is then, what is lost included. */
function shortest(label: Label, lost: Window | undefined): { readonly startMm: number; readonly spanMm: number } {
  const startMm = Math.min(label.latestMm, lost?.fromMm ?? Infinity);
  const right = Math.max(lost?.toMm ?? -Infinity, label.endMm, startMm + label.lengthMm);
  return { startMm, spanMm: right - startMm };
}

function extended(label: Label, piece: Piece, key: string, gapMm: number): Label[] {
  const first = label.piece === undefined;
  return piece.rooms.flatMap((room): Label[] => {
    const gap = first ? 0 : gapMm;
    const from = first ? room.fromMm : Math.max(label.endMm + gap, room.fromMm);
    if (from > room.toMm + TOUCH_MM) return [];
    const before = first ? 0 : label.lengthMm + gap;
    return [
      {
        key,
        endMm: from + piece.lengthMm,
        latestMm: Math.min(label.latestMm, room.toMm - before),
        lengthMm: before + piece.lengthMm,
        from: label,
        piece,
        room,
      },
    ];
  });
}

/** The pieces of a label placed for a stretch that begins at a place: each as far left as it goes. */
function placedFrom(label: Label, startMm: number, gapMm: number): Placed[] {
  const chain: Label[] = [];
  for (let at: Label | undefined = label; at?.piece; at = at.from) chain.push(at);
  let nextMm = startMm;
  return chain.reverse().flatMap((one): Placed[] => {
    if (!one.piece || !one.room) return [];
    const atMm = Math.min(one.room.toMm, Math.max(one.room.fromMm, nextMm));
    nextMm = atMm + one.piece.lengthMm + gapMm;
    return [{ piece: one.piece, atMm }];
  });
}

interface SpanLimits {
  readonly gapMm: number;
  readonly bodiesAtMost: number;
  readonly diameterAtMost: number;
  /** Whether bodies of one piece may overlap: those of a pair side by side. */
  readonly sideBySide: boolean;
  readonly beam: number;
}

const dominates = (a: Label, b: Label): boolean => a.endMm <= b.endMm + TOUCH_MM && a.latestMm >= b.latestMm - TOUCH_MM;

/**
 * The shortest stretch that holds all pieces one after the other and what is lost. Exact unless the beam cuts: an
 * earlier end and a later latest begin are never worse.
 */
export function shortestSpan(steps: Following, limits: SpanLimits): Span | undefined {
  const { problem } = steps;
  const tooThick = (piece: Piece): boolean =>
    piece.bodies.some((body) => problem.diameterMm([body.spec]) > limits.diameterAtMost + TOUCH_MM);
  let labels: Label[] = [{ key: steps.start(), endMm: -Infinity, latestMm: Infinity, lengthMm: 0 }];
  const finals: Label[] = [];
  let complete = true;
  while (labels.length > 0) {
    const layer = new Map<string, Label[]>();
    for (const label of labels) {
      for (const step of steps.next(label.key)) {
        if (tooThick(step.piece) || (step.piece.pairs > 0 && !limits.sideBySide)) continue;
        const key = keyAfter(label.key, step);
        const { latestStartMm: latest, bodies } = steps.rest(key, limits.gapMm);
        if (bodies > limits.bodiesAtMost) continue;
        for (const made of extended(label, step.piece, key, limits.gapMm)) {
          if (made.endMm + limits.gapMm > latest + TOUCH_MM && latest !== Infinity) continue;
          if (latest === Infinity) {
            finals.push(made);
            continue;
          }
          const there = layer.get(made.key) ?? [];
          if (there.some((other) => dominates(other, made))) continue;
          layer.set(made.key, [...there.filter((other) => !dominates(made, other)), made]);
        }
      }
    }
    labels = [...layer.values()].flat();
    if (labels.length > limits.beam) {
      labels.sort((a, b) => shortest(a, problem.lost).spanMm - shortest(b, problem.lost).spanMm);
      labels = labels.slice(0, limits.beam);
      complete = false;
    }
  }
  const judged = finals
    .map((label) => ({ label, ...shortest(label, problem.lost) }))
    .sort((a, b) => a.spanMm - b.spanMm);
  const [best] = judged;
  if (!best) return undefined;
  const asShort = judged.filter((one) => one.spanMm <= best.spanMm + TOUCH_MM);
  // A row without play may slide as long as it covers what is lost.
  const slides = merged(
    asShort.flatMap(({ label, startMm }) => {
      const fromMm = Math.max(problem.lost?.toMm ?? -Infinity, label.endMm) - best.spanMm;
      return fromMm < startMm - TOUCH_MM && label.lengthMm > best.spanMm - TOUCH_MM ? [{ fromMm, toMm: startMm }] : [];
    }),
  );
  const startsMm = [...asShort.map(({ startMm }) => startMm), ...slides.map(({ fromMm }) => fromMm)]
    .sort((a, b) => a - b)
    .filter((at, index, all) => index === 0 || at - (all[index - 1] ?? at) > TOUCH_MM);
  return {
    lengthMm: best.spanMm,
    startsMm,
    slides,
    complete,
    placed: placedFrom(best.label, best.startMm, limits.gapMm),
  };
}
