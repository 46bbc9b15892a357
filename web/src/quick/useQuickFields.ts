import type { QuickConnector, QuickRepair } from '@mendum/core/quick';
import { quickConnectorSchema, quickSchema } from '@mendum/core/schemas';
import { useKept } from '../form/useKept.ts';
import type { QuickChange } from './draft.ts';

const changedIn = <T extends object>(before: T, after: T): Partial<T> =>
  Object.fromEntries(
    [...new Set([...Object.keys(before), ...Object.keys(after)])]
      .map((name) => [name, after[name as keyof T]] as const)
      .filter(([name, value]) => JSON.stringify(value) !== JSON.stringify(before[name as keyof T])),
  ) as Partial<T>;

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

/** The same of a connector. */
export const useConnectorFields = (connector: QuickConnector, onChange: (changed: Partial<QuickConnector>) => void) =>
  useKept(
    quickConnectorSchema,
    connector,
    (after) => {
      onChange(changedIn(connector, after));
      return true;
    },
    { asTyped: true },
  );
