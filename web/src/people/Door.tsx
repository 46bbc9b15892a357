import { useWaiting } from '../app/letIn.ts';
import { useSession } from '../app/session.ts';
import { AccountDialog } from './AccountDialog.tsx';
import { ConfirmDialog } from './ConfirmDialog.tsx';
import { FirstSecret } from './OwnSecret.tsx';
import { SignIn } from './SignIn.tsx';

interface DoorProps {
  /** Nobody is signed in. */
  readonly isOutside: boolean;
  /** Somebody was, since the page was opened. */
  readonly wasIn: boolean;
  /** Who is signed in is looked at. */
  readonly asking: boolean;
  readonly onClose: () => void;
}

/** Where people sign in: who comes in, whose PIN is asked for once more, and who is in. */
export function Door({ isOutside, wasIn, asking, onClose }: DoorProps) {
  const waiting = useWaiting();
  const { who } = useSession();
  if (who?.mustChange) return <FirstSecret name={who.name} />;
  if (isOutside) return <SignIn ended={wasIn} />;
  return (
    <>
      {waiting ? <ConfirmDialog key={waiting.writeId} waiting={waiting} /> : null}
      {asking ? <AccountDialog onClose={onClose} /> : null}
    </>
  );
}
