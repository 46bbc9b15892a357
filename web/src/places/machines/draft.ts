import { useCallback, useEffect, useMemo, useState } from 'react';
import { applyEdits, EditRefused, type Harness, type HarnessEdit } from '@mendum/core';
import type { HarnessView } from '@mendum/core/interchange';
import { notify } from '../../app/notice.ts';

/** Edits not saved yet, and those taken back that can be done again. */
interface Stack {
  readonly edits: readonly HarnessEdit[];
  readonly undone: readonly HarnessEdit[];
}

const EMPTY: Stack = { edits: [], undone: [] };
const keyOf = (view: HarnessView): string => `mendum.harness.${view.id}.${view.version}`;

/** What this device kept of an unsaved draft; a damaged or outdated memory counts as none. */
function remembered(view: HarnessView, harness: Harness): Stack {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(view)) ?? '[]') as HarnessEdit[];
    applyEdits({ harness, findings: [] }, kept);
    return { edits: kept, undone: [] };
  } catch {
    return EMPTY;
  }
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
}

/** A harness being edited: a stack of edits over what is stored, kept on the device until it is saved. */
export function useHarnessDraft(view: HarnessView): Draft {
  const stored = useMemo((): Harness => ({ id: view.id, name: view.name, nodes: view.nodes, runs: view.runs, circuits: view.circuits }), [view]);
  const [kept, setKept] = useState<{ readonly of: string; readonly stack: Stack }>(() => ({ of: keyOf(view), stack: remembered(view, stored) }));
  // What was saved is stored now: its edits are no longer to be done.
  const stack = kept.of === keyOf(view) ? kept.stack : EMPTY;
  const setStack = useCallback((next: Stack): void => setKept({ of: keyOf(view), stack: next }), [view]);
  const harness = useMemo(() => applyEdits({ harness: stored, findings: [] }, stack.edits).harness, [stored, stack]);
  useEffect(() => {
    if (stack.edits.length === 0) localStorage.removeItem(keyOf(view));
    else localStorage.setItem(keyOf(view), JSON.stringify(stack.edits));
  }, [view, stack]);
  const undo = useCallback((): void => {
    const last = stack.edits.at(-1);
    if (last) setStack({ edits: stack.edits.slice(0, -1), undone: [last, ...stack.undone] });
  }, [stack, setStack]);
  const redo = useCallback((): void => {
    const [next, ...rest] = stack.undone;
    if (next) setStack({ edits: [...stack.edits, next], undone: rest });
  }, [stack, setStack]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName))) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
  const edit = (...edits: readonly HarnessEdit[]): boolean => {
    try {
      applyEdits({ harness, findings: [] }, edits);
    } catch (error) {
      if (!(error instanceof EditRefused)) throw error;
      notify(error.message, { hint: error.remedy, wrong: true });
      return false;
    }
    setStack({ edits: [...stack.edits, ...edits], undone: [] });
    return true;
  };
  return { harness, edits: stack.edits, canRedo: stack.undone.length > 0, edit, undo, redo, discard: () => setStack(EMPTY) };
}

/** A free id with a letter before a number: R4, B2. */
export function freeId(letter: string, taken: readonly string[]): string {
  const used = new Set(taken.map((id) => id.toLowerCase()));
  for (let n = 1; ; n += 1) if (!used.has(`${letter}${n}`.toLowerCase())) return `${letter}${n}`;
}
