import { useEffect, useMemo, useRef, useState } from 'react';
import type { Harness } from '@mendum/core/harness';
import { applyEdits, EditRefused, type HarnessEdit } from '@mendum/core/survey';
import { partsOf, type HarnessView } from '@mendum/core/operations';
import { again, back, done, noHistory, type History } from '../../app/history.ts';
import { keep, recall } from '../../app/kept.ts';
import { useUndoKeys } from '../../app/useUndoKeys.ts';
import { notify } from '../../app/notice.ts';

/** Edits not saved yet, those taken back that can be done again, and the version in which they are stored once saved. */
interface Stack {
  readonly history: History<HarnessEdit>;
  readonly savedIn?: number | undefined;
}

const EMPTY: Stack = { history: noHistory() };
const keyOf = (view: HarnessView): string => `mendum.harness.${view.id}`;
const storedOf = (view: HarnessView): Harness => partsOf(view).harness;

/** The harness with edits done on it, or nothing where they cannot be. */
function withEdits(harness: Harness, edits: readonly HarnessEdit[]): Harness | undefined {
  try {
    return applyEdits({ harness, findings: [] }, edits).harness;
  } catch {
    return undefined;
  }
}

/** What this device kept of an unsaved draft; a damaged memory, or one that does not fit any more, counts as none. */
function remembered(view: HarnessView): Stack {
  const kept = recall(keyOf(view));
  return Array.isArray(kept) && withEdits(storedOf(view), kept as HarnessEdit[])
    ? { history: noHistory(kept as HarnessEdit[]) }
    : EMPTY;
}

export interface HarnessDraft {
  /** The harness as it is with the edits. */
  readonly harness: Harness;
  readonly edits: readonly HarnessEdit[];
  readonly canRedo: boolean;
  /** Does edits; what stands in the way is said, and nothing is done. */
  readonly edit: (...edits: readonly HarnessEdit[]) => boolean;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly discard: () => void;
  /** The edits are stored, as of this version. */
  readonly saved: (version: number) => void;
}

/**
 * A harness being edited: a stack of edits over what is stored, kept on the device until it is saved. When somebody
 * else saves in between, the edits are done on top of theirs; where that cannot be, it is said and they are put aside.
 */
export function useHarnessDraft(view: HarnessView): HarnessDraft {
  const stored = useMemo(() => storedOf(view), [view]);
  const [stack, setStack] = useState<Stack>(() => remembered(view));
  const wanted = useMemo(
    () => (stack.savedIn !== undefined && view.version >= stack.savedIn ? [] : stack.history.past),
    [stack, view.version],
  );
  const made = useMemo(() => withEdits(stored, wanted), [stored, wanted]);
  const harness = made ?? stored;
  const edits = useMemo(() => (made ? wanted : []), [made, wanted]);
  const lastVersion = useRef(view.version);
  useEffect(() => {
    if (lastVersion.current === view.version) return;
    lastVersion.current = view.version;
    if (wanted.length === 0) return;
    if (made)
      notify('Somebody saved this harness in between.', {
        hint: 'Your changes are done on top of theirs: look, and save again.',
      });
    else
      notify('Somebody saved this harness in between.', {
        hint: 'Your changes cannot be done on top of theirs any more and were put aside.',
        wrong: true,
      });
  }, [view.version, wanted, made]);
  useEffect(() => keep(keyOf(view), edits.length === 0 ? undefined : edits), [view, edits]);
  const here: History<HarnessEdit> = { ...stack.history, past: edits };
  const undo = (): void => setStack({ history: back(here)?.history ?? here });
  const redo = (): void => setStack({ history: again(here)?.history ?? here });
  useUndoKeys(undo, redo);
  const edit = (...more: readonly HarnessEdit[]): boolean => {
    try {
      applyEdits({ harness, findings: [] }, more);
    } catch (error) {
      if (!(error instanceof EditRefused)) throw error;
      notify(error.message, { hint: error.remedy, wrong: true });
      return false;
    }
    setStack({ history: done(here, ...more) });
    return true;
  };
  return {
    harness,
    edits,
    canRedo: here.future.length > 0,
    edit,
    undo,
    redo,
    discard: () => setStack(EMPTY),
    saved: (version) => setStack({ history: noHistory(edits), savedIn: version }),
  };
}

/** A free id with a letter before a number: R4, B2. */
export function freeId(letter: string, taken: readonly string[]): string {
  const used = new Set(taken.map((id) => id.toLowerCase()));
  for (let n = 1; ; n += 1) if (!used.has(`${letter}${n}`.toLowerCase())) return `${letter}${n}`;
}
