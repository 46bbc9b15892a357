import { mayDo, type OperationName, type Session } from '@mendum/core/operations';
import { useSessionQuery } from './api.ts';

/** Until the server has said otherwise, names are picked. */
const OPEN: Session = { signsIn: false, mayBegin: false };

/** Who is signed in here, and whether people sign in at all. */
export const useSession = (): Session => useSessionQuery({}).data ?? OPEN;

/** What somebody may not do is not shown to them. */
export function useMay(name: OperationName): boolean {
  const { signsIn, who } = useSession();
  return !signsIn || (who !== undefined && mayDo(who.role, name));
}
