import clsx from 'clsx';
import { X } from 'lucide-react';
import { Button } from '../ui/button.tsx';
import { dismissNotice, useNotice } from './notice.ts';

/**
 * The strip under everything that says what was done, with Undo. It takes room of its own, so that it never lies over a
 * button.
 */
export function NoticeBar() {
  const notice = useNotice();
  return (
    <div
      role="status"
      aria-label="What was done"
      className={clsx(
        'no-print sticky bottom-(--bar) z-20',
        notice && 'flex min-h-16 items-center gap-4 border-t-4 bg-sheet px-6 py-1.5',
        notice?.wrong ? 'border-scrap' : 'border-copper',
      )}
    >
      {notice ? (
        <>
          <p className={clsx('min-w-0 flex-1 text-lg', notice.wrong && 'text-scrap')}>
            <b className="font-semibold">{notice.words}</b>
            {notice.hint === undefined ? null : <span className="text-ink"> {notice.hint}</span>}
          </p>
          {notice.undo ? (
            <Button
              onClick={() => {
                dismissNotice();
                notice.undo?.();
              }}
            >
              Undo
            </Button>
          ) : null}
          <button
            type="button"
            aria-label="Dismiss"
            className="-mr-3 inline-flex size-11 items-center justify-center rounded-sm hover:bg-wash"
            onClick={dismissNotice}
          >
            <X aria-hidden />
          </button>
        </>
      ) : null}
    </div>
  );
}
