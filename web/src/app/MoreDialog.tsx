import { Dialog } from '../ui/dialog.tsx';
import { RailKeys } from './RailKeys.tsx';

interface MoreDialogProps {
  readonly onPerson: () => void;
  readonly onFind: () => void;
  readonly onClose: () => void;
}

/** On a phone: what the bar at the foot has no room for. */
export function MoreDialog({ onPerson, onFind, onClose }: MoreDialogProps) {
  const then = (go: () => void) => () => {
    onClose();
    go();
  };
  return (
    <Dialog open onClose={onClose} title="More">
      <div className="grid gap-2">
        <RailKeys
          look="flex min-h-16 w-full items-center gap-4 rounded-sm border border-rule px-4 text-xl hover:bg-wash"
          onPerson={then(onPerson)}
          onFind={then(onFind)}
        />
      </div>
    </Dialog>
  );
}
