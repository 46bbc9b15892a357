import { useEffect } from 'react';
import { useSearchParams } from 'react-router';

/** Longest that a form may take to come up, ms. */
const PATIENCE_MS = 3000;

/** A field is asked for by its own name, whatever it is nested in, or by the name that answers go by. */
const isCalled = (field: HTMLElement, name: string): boolean => {
  const own = field.getAttribute('name');
  return own === name || own?.endsWith(`.${name}`) === true || field.dataset.field === name;
};

/** Puts the cursor into the field that the address names, once its form is there. */
export function useAskedField(): string | undefined {
  const [search] = useSearchParams();
  const name = search.get('field') ?? undefined;
  useEffect(() => {
    if (name === undefined) return undefined;
    const until = Date.now() + PATIENCE_MS;
    let frame = 0;
    const look = (): void => {
      const field = [...document.querySelectorAll<HTMLElement>('[name]')].find((one) => isCalled(one, name));
      if (field) {
        field.scrollIntoView({ block: 'center' });
        field.focus();
      } else if (Date.now() < until) frame = requestAnimationFrame(look);
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [name]);
  return name;
}
