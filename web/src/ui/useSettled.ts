import { useEffect, useState } from 'react';

/** Nobody is asked for every letter while one types, ms. */
const SETTLES_MS = 150;

/** What was typed, once the fingers rest. */
export function useSettled<T>(typed: T): T {
  const [settled, setSettled] = useState(typed);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(typed), SETTLES_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  return settled;
}
