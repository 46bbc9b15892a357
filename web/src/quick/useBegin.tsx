import { useNavigate } from 'react-router';
import { useSave } from '../app/change.ts';
import { useNamed } from '../app/useNamed.tsx';

type Begun = 'beginQuick' | 'beginConnector';

/** Makes a job of what was tapped, under a name, and goes on where it was asked to. */
export function useBegin<N extends Begun>(operation: N, onBegun: () => void) {
  const navigate = useNavigate();
  const { named, question } = useNamed();
  const { save, busy } = useSave();
  const begin = async (sent: Parameters<typeof save<N>>[1], to: string, by: string): Promise<void> => {
    const outcome = await save(operation, sent, { by });
    if (!outcome.ok) return;
    onBegun();
    void navigate(`/jobs/${(outcome.data as { readonly id: string }).id}/${to}`);
  };
  return {
    begin: (sent: Parameters<typeof save<N>>[1], to: string): void => named((by) => void begin(sent, to, by)),
    busy,
    question,
  };
}
