import { useEffect } from 'react';
import { useSearchParams } from 'react-router';

/** Longest that a form may take to come up, ms. */
const PATIENCE_MS = 3000;

/** Puts the cursor into the field that the address names, once its form is there. */
export function useAskedField(): string | undefined {
  const [search] = useSearchParams();
  const name = search.get('field') ?? undefined;
  useEffect(() => {
    if (name === undefined) return undefined;
    const until = Date.now() + PATIENCE_MS;
    let frame = 0;
    const look = (): void => {
      const [field] = document.getElementsByName(name);
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
