import type { ReactNode } from 'react';
import clsx from 'clsx';
import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';

interface DialogProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly about?: string | undefined;
  readonly children: ReactNode;
  /** A sheet from the right for long forms; a box in the middle for short questions, a wide one for drawings. */
  readonly shape?: 'box' | 'sheet' | 'wide';
  /** Without a way out, for the one question that must be answered. */
  readonly firm?: boolean;
}

export function Dialog({ open, onClose, title, about, children, shape = 'box', firm = false }: DialogProps) {
  const hold = (event: Event): void => {
    if (firm) event.preventDefault();
  };
  return (
    <Radix.Root open={open} onOpenChange={(next) => (next ? undefined : onClose())}>
      <Radix.Portal>
        <Radix.Overlay className="no-print fixed inset-0 z-40 bg-black/45" />
        <Radix.Content
          onEscapeKeyDown={hold}
          onInteractOutside={hold}
          {...(about === undefined ? { 'aria-describedby': undefined } : {})}
          className={clsx(
            'fixed z-50 flex flex-col bg-sheet text-ink shadow-2xl',
            shape === 'sheet'
              ? 'inset-y-0 right-0 w-full max-w-[38.75rem]'
              : 'inset-0 sm:inset-auto sm:top-1/2 sm:left-1/2 sm:max-h-[94dvh] sm:-translate-x-1/2 sm:-translate-y-1/2 sm:rounded-sm sm:border sm:border-rule',
            shape === 'wide' && 'sm:w-[min(72.5rem,96vw)]',
            shape === 'box' && 'sm:w-[min(35rem,94vw)]',
          )}
        >
          <div className="flex items-start gap-4 border-b border-rule px-6 py-4 max-sm:px-4">
            <div className="min-w-0 flex-1">
              <Radix.Title className="text-2xl font-semibold">{title}</Radix.Title>
              {about === undefined ? null : <Radix.Description className="mt-1 text-soft">{about}</Radix.Description>}
            </div>
            {firm ? null : (
              <Radix.Close
                className="-mr-2 inline-flex size-11 items-center justify-center rounded-sm hover:bg-wash"
                aria-label="Close"
              >
                <X aria-hidden />
              </Radix.Close>
            )}
          </div>
          <div className="min-h-0 flex-1 scroll-py-24 overflow-y-auto px-6 py-5 max-sm:px-4">{children}</div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
