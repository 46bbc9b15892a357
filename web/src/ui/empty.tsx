import type { ReactNode } from 'react';
import { LoaderCircle } from 'lucide-react';

/** An empty place says what to do next. */
export function Empty({ title, children }: { readonly title: string; readonly children?: ReactNode }) {
  return (
    <div className="border-y border-rule px-2 py-10 text-lg">
      <p className="text-xl font-semibold">{title}</p>
      <div className="mt-2 max-w-prose text-soft">{children}</div>
    </div>
  );
}

/** What is shown while something over half a second is under way. */
export const Working = ({ words }: { readonly words: string }) => (
  <p role="status" className="flex items-center gap-3 px-2 py-10 text-xl text-soft">
    <LoaderCircle aria-hidden className="motion-safe:animate-spin" />
    {words}
  </p>
);

/** A load that failed, with the way to try again. */
export function Failed({
  message,
  hint,
  onRetry,
}: {
  readonly message: string;
  readonly hint?: string | undefined;
  readonly onRetry: () => void;
}) {
  return (
    <Empty title={message}>
      {hint}
      <button
        type="button"
        className="mt-4 block min-h-11 rounded-sm border border-ink px-4 font-semibold text-ink"
        onClick={onRetry}
      >
        Try again
      </button>
    </Empty>
  );
}
