import type { QuickRepair } from '@mendum/core';
import { quickSchema } from '@mendum/core/schemas';
import { useKept } from '../form/useKept.ts';
import type { QuickChange } from './draft.ts';

const changedIn = (before: QuickRepair, after: QuickRepair): QuickChange =>
  Object.fromEntries(
    [...new Set([...Object.keys(before), ...Object.keys(after)])]
      .map((name) => [name, after[name as keyof QuickRepair]] as const)
      .filter(([name, value]) => JSON.stringify(value) !== JSON.stringify(before[name as keyof QuickRepair])),
  );

/** Fields of a repair, each held to the schema that the server holds it to; a right figure counts while it is typed. */
export const useQuickFields = (repair: QuickRepair, onChange: (changed: QuickChange) => void) =>
  useKept(
    quickSchema,
    repair,
    (after) => {
      onChange(changedIn(repair, after));
      return true;
    },
    { asTyped: true },
  );
