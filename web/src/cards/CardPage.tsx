import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Button } from '../ui/button.tsx';

/** A page that is printed large as a card: what belongs to the screen alone is left out on paper. */
export function CardPage({
  title,
  about,
  back,
  onlyCard = false,
  children,
}: {
  readonly title: string;
  readonly about: string;
  readonly back: { readonly to: string; readonly words: string };
  /** On paper there is nothing but what is on the card. */
  readonly onlyCard?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <div className={`px-6 pb-10 ${onlyCard ? 'print:p-0' : ''}`}>
      <header className={`${onlyCard ? 'no-print ' : ''}flex flex-wrap items-end gap-x-6 gap-y-2 pt-4 pb-4`}>
        <div className="min-w-0 flex-1">
          <Link to={back.to} className="no-print inline-flex min-h-11 items-center underline underline-offset-4">
            {back.words}
          </Link>
          <h1 className="text-3xl font-semibold">{title}</h1>
          <p className="text-lg text-soft">{about}</p>
        </div>
        <Button className="no-print" onClick={() => window.print()}>
          Print the card
        </Button>
      </header>
      {children}
      <p className={`${onlyCard ? 'no-print ' : ''}mt-6 border-t border-rule pt-2 text-soft`}>
        The maker’s service manual and local codes come first.
      </p>
    </div>
  );
}
