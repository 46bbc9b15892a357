import { useEffect } from 'react';

/** Ctrl or Cmd with Z takes back, with Y or Shift and Z does again; not while somebody types. */
export function useUndoKeys(undo: (() => void) | undefined, redo: (() => void) | undefined): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (
        !(event.ctrlKey || event.metaKey) ||
        (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName))
      )
        return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redo?.();
      else undo?.();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
}
