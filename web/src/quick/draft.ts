import { useEffect, useState } from 'react';
import {
  QUICK_DAMAGES,
  QUICK_PLACES,
  quickOf,
  type QuickDamage,
  type QuickPlace,
  type QuickRepair,
} from '@mendum/core/quick';
import type { WireColour, WireSize } from '@mendum/core/wire';
import { keep, recall } from '../app/kept.ts';

/** A wire as far as it has been tapped. */
export interface QuickWire {
  /** What it is called by, where that is not its place in the list. */
  readonly name?: string | undefined;
  readonly colour?: WireColour | undefined;
  readonly size?: WireSize | undefined;
}

/** What may be said otherwise than it is assumed. */
export type QuickChange = Partial<Omit<QuickRepair, 'wires' | 'damage'>>;

/** What has been tapped so far. */
export interface QuickDraft {
  readonly wires: readonly QuickWire[];
  readonly damage?: QuickDamage | undefined;
  readonly place?: QuickPlace | undefined;
  readonly changed: QuickChange;
}

export const EMPTY: QuickDraft = { wires: [{}], changed: {} };

/** What depends on the damage, and on the place: another one of either brings its own usual figures. */
const OF_DAMAGE = ['lostMm', 'cutBackMm', 'strands'] as const;
const OF_PLACE = ['zone', 'bendsMm'] as const;
const without = (changed: QuickChange, names: readonly (keyof QuickChange)[]): QuickChange =>
  Object.fromEntries(Object.entries(changed).filter(([name]) => !names.includes(name as keyof QuickChange)));

/** What says otherwise than was assumed, put into the draft. */
export const changing =
  (draft: QuickDraft, onChange: (draft: QuickDraft) => void) =>
  (changed: QuickChange): void =>
    onChange({ ...draft, changed: { ...draft.changed, ...changed } });

export const withDamage = (draft: QuickDraft, damage: QuickDamage): QuickDraft => ({
  ...draft,
  damage,
  changed: without(draft.changed, OF_DAMAGE),
});
export const withPlace = (draft: QuickDraft, place: QuickPlace): QuickDraft => ({
  ...draft,
  place,
  changed: without(draft.changed, OF_PLACE),
});
export const withWire = (draft: QuickDraft, at: number, change: QuickWire): QuickDraft => ({
  ...draft,
  wires: draft.wires.map((wire, index) => (index === at ? { ...wire, ...change } : wire)),
});
/** One more of the size that the last one has: a harness is mostly of one. */
export const withOneMore = (draft: QuickDraft): QuickDraft => ({
  ...draft,
  wires: [...draft.wires, { size: draft.wires.at(-1)?.size }],
});
export const withoutWire = (draft: QuickDraft, at: number): QuickDraft => ({
  ...draft,
  wires: draft.wires.length === 1 ? [{}] : draft.wires.filter((_, index) => index !== at),
});

/** A wire whose colour nobody has tapped: planned as any other, and asked for before it is written down. */
const UNKNOWN: WireColour = { base: 'natural' };

/** The repair as far as it can be planned: its sizes, its damage and its place are known. */
export function repairOf({ wires, damage, place, changed }: QuickDraft): QuickRepair | undefined {
  if (damage === undefined || place === undefined) return undefined;
  const known = wires.flatMap(({ size, colour = UNKNOWN }) => (size ? [{ size, colour }] : []));
  if (known.length !== wires.length) return undefined;
  return { ...quickOf({ wires: known, damage, place }), ...changed };
}

/** What still has to be tapped before there is an answer, as it is called on the page. */
export const missingFrom = ({ wires, damage, place }: QuickDraft): string[] => [
  ...(wires.some(({ size }) => size === undefined) ? ['the size'] : []),
  ...(damage === undefined ? ['what happened'] : []),
  ...(place === undefined ? ['where it is'] : []),
];

const KEY = 'mendum.quick';

/** A draft that this device kept; a damaged one counts as none. */
function remembered(): QuickDraft {
  const kept = recall(KEY) as Partial<QuickDraft> | undefined;
  const isWhole =
    kept !== undefined &&
    Array.isArray(kept.wires) &&
    kept.wires.length > 0 &&
    typeof kept.changed === 'object' &&
    (kept.damage === undefined || QUICK_DAMAGES.includes(kept.damage)) &&
    (kept.place === undefined || QUICK_PLACES.includes(kept.place));
  return isWhole ? (kept as QuickDraft) : EMPTY;
}

/** What is being tapped, kept on this device until it has become a job. */
export function useQuickDraft() {
  const [draft, setDraft] = useState(remembered);
  useEffect(() => keep(KEY, draft === EMPTY ? undefined : draft), [draft]);
  return [draft, setDraft] as const;
}
