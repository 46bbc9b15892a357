import { Link, useRouteError } from 'react-router';
import { Button } from '../ui/button.tsx';

/** Browsers say in their own ways that a part of the application could not be fetched. */
const NOT_FETCHED = /dynamically imported module|importing a module script|preload/i;

/**
 * An address that is not there, a part that could not be fetched, or a screen that broke: nothing that was saved is
 * lost.
 */
export function Lost() {
  const error = useRouteError();
  const words = error instanceof Error ? error.message : undefined;
  const notFetched = words !== undefined && NOT_FETCHED.test(words);
  return (
    <div className="p-8">
      <h1 className="text-3xl font-semibold">
        {error === undefined
          ? 'There is nothing at this address'
          : notFetched
            ? 'This screen could not be fetched'
            : 'This screen stopped working'}
      </h1>
      <p className="mt-2 text-lg text-soft">
        {notFetched
          ? 'The server does not answer, or Mendum has been updated since this page was opened. What was saved is still there.'
          : (words ?? 'What was saved is still there.')}
      </p>
      <div className="mt-6 flex flex-wrap gap-3">
        {notFetched ? (
          <Button look="copper" onClick={() => window.location.reload()}>
            Load the page again
          </Button>
        ) : null}
        <Link
          to="/jobs"
          className="inline-flex min-h-11 items-center rounded-sm border border-ink px-4 text-lg font-semibold"
        >
          Go to the jobs
        </Link>
      </div>
    </div>
  );
}
