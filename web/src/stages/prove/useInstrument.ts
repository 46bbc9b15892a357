import { useState } from 'react';
import { keep, recall } from '../../app/kept.ts';

const KEY = 'mendum.instrument';

/** The instrument in use at this bench: named once, and said with each reading until it is named otherwise. */
export function useInstrument(): readonly [string, (name: string) => void] {
  const [name, setName] = useState(() => {
    const kept = recall(KEY);
    return typeof kept === 'string' ? kept : '';
  });
  return [
    name,
    (next) => {
      setName(next);
      keep(KEY, next.trim() === '' ? undefined : next.trim());
    },
  ];
}
