import { useHotkeys } from 'react-hotkeys-hook';

/** A dialog has keys of its own; so has the browser, with control keys held. */
const isElsewhere = (event: KeyboardEvent): boolean =>
  event.ctrlKey || event.metaKey || event.altKey || document.querySelector('[role=dialog]') !== null;

/** Keys of a screen, by what they print. Silent while somebody types, in dialogs, and with control keys held. */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  useHotkeys('*', (event) => keys[event.key]?.(), {
    ignoreEventWhen: (event) => isElsewhere(event) || keys[event.key] === undefined,
    preventDefault: true,
  });
}
