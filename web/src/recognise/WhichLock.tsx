import { RELEASE_GUIDES, type LockFamily } from '@mendum/core/connector';
import { whichLock } from '@mendum/core/recognise';
import { Dialog } from '../ui/dialog.tsx';
import { KeyQuestions } from './KeyQuestions.tsx';
import { LOCK_PICTURES, LOCK_SIGNS } from './lockPictures.tsx';

interface WhichLockProps {
  readonly onPick: (lock: LockFamily) => void;
  readonly onClose: () => void;
}

/** Which of the six ways holds the terminals of a connector, found by looking. */
export function WhichLock({ onPick, onClose }: WhichLockProps) {
  return (
    <Dialog
      open
      shape="wide"
      onClose={onClose}
      title="How are its terminals held?"
      about="Two or three looks, nothing is taken apart. The maker's manual comes first."
    >
      <KeyQuestions
        ask={whichLock}
        pictures={LOCK_PICTURES}
        take="Take this"
        said={(lock) => ({
          words: RELEASE_GUIDES[lock].name,
          about: RELEASE_GUIDES[lock].never,
          picture: LOCK_SIGNS[lock],
        })}
        onPick={onPick}
      />
    </Dialog>
  );
}
