import { useHotkeys } from 'react-hotkeys-hook';

/** Ctrl or Cmd with Z takes back, with Y or Shift and Z does again; not while somebody types. */
export function useUndoKeys(undo: (() => void) | undefined, redo: (() => void) | undefined): void {
  useHotkeys('ctrl+z, meta+z', () => undo?.(), { useKey: true, preventDefault: true });
  useHotkeys('ctrl+y, meta+y, ctrl+shift+z, meta+shift+z', () => redo?.(), { useKey: true, preventDefault: true });
}
