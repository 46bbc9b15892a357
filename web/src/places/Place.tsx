import type { ReactNode } from 'react';

/** The frame of a place: its name, what it is for, what can be done. */
export function Place({
  title,
  about,
  actions,
  children,
}: {
  readonly title: string;
  readonly about: string;
  readonly actions?: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <div className="px-6 pb-10 max-sm:px-4">
      <header className="flex flex-wrap items-end gap-x-6 gap-y-3 pt-5 pb-4">
        <div className="min-w-0 flex-1 max-sm:basis-full">
          <h1 className="text-3xl font-semibold">{title}</h1>
          <p className="text-lg text-soft">{about}</p>
        </div>
        {actions}
      </header>
      {children}
    </div>
  );
}
