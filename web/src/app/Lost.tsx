import { Link, useRouteError } from 'react-router';

/** An address that is not there, or a screen that broke: nothing that was saved is lost. */
export function Lost() {
  const error = useRouteError();
  return (
    <div className="p-8">
      <h1 className="text-3xl font-semibold">
        {error === undefined ? 'There is nothing at this address' : 'This screen stopped working'}
      </h1>
      <p className="mt-2 text-lg text-soft">
        {error instanceof Error ? error.message : 'What was saved is still there.'}
      </p>
      <Link
        to="/jobs"
        className="mt-6 inline-flex min-h-11 items-center rounded-sm border border-ink px-4 text-lg font-semibold"
      >
        Go to the jobs
      </Link>
    </div>
  );
}
