import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { applyEdits, EditRefused, type Harness, type HarnessEdit } from '@mendum/core';
import type { HarnessView } from '@mendum/core/operations';
import { keep, recall } from '../../app/kept.ts';
import { useUndoKeys } from '../../app/useUndoKeys.ts';
import { notify } from '../../app/notice.ts';

/**
 * Edits not saved yet, those taken back that can be done again, and the version in which they are stored once they were
 * saved.
 */
interface Stack {
  readonly edits: readonly HarnessEdit[];
  readonly undone: readonly HarnessEdit[];
  readonly savedIn?: number | undefined;
}

const EMPTY: Stack = { edits: [], undone: [] };
const keyOf = (view: HarnessView): string => `mendum.harness.${view.id}`;
const storedOf = (view: HarnessView): Harness => ({
  id: view.id,
  name: view.name,
  nodes: view.nodes,
  runs: view.runs,
  circuits: view.circuits,
});

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
    ? { edits: kept as HarnessEdit[], undone: [] }
    : EMPTY;
}

export interface Draft {
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
export function useHarnessDraft(view: HarnessView): Draft {
  const stored = useMemo(() => storedOf(view), [view]);
  const [stack, setStack] = useState<Stack>(() => remembered(view));
  const wanted = useMemo(
    () => (stack.savedIn !== undefined && view.version >= stack.savedIn ? [] : stack.edits),
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
  const undo = useCallback((): void => {
    const last = edits.at(-1);
    if (last) setStack({ edits: edits.slice(0, -1), undone: [last, ...stack.undone] });
  }, [edits, stack]);
  const redo = useCallback((): void => {
    const [next, ...rest] = stack.undone;
    if (next) setStack({ edits: [...edits, next], undone: rest });
  }, [edits, stack]);
  useUndoKeys(undo, redo);
  const edit = (...more: readonly HarnessEdit[]): boolean => {
    try {
      applyEdits({ harness, findings: [] }, more);
    } catch (error) {
      if (!(error instanceof EditRefused)) throw error;
      notify(error.message, { hint: error.remedy, wrong: true });
      return false;
    }
    setStack({ edits: [...edits, ...more], undone: [] });
    return true;
  };
  return {
    harness,
    edits,
    canRedo: stack.undone.length > 0,
    edit,
    undo,
    redo,
    discard: () => setStack(EMPTY),
    saved: (version) => setStack({ edits, undone: [], savedIn: version }),
  };
}

/** A free id with a letter before a number: R4, B2. */
export function freeId(letter: string, taken: readonly string[]): string {
  const used = new Set(taken.map((id) => id.toLowerCase()));
  for (let n = 1; ; n += 1) if (!used.has(`${letter}${n}`.toLowerCase())) return `${letter}${n}`;
}
