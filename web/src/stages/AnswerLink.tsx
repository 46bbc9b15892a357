import { Link } from 'react-router';
import type { AnsweredAt } from '@mendum/core/approach';
import { useOpenJob } from './job.ts';
import { linkWords, pathOf } from '../answer/path.ts';

/** To the very field that answers what is asked, or lifts what is refused. */
export function AnswerLink({ at }: { readonly at: AnsweredAt | undefined }) {
  const { view, locked } = useOpenJob();
  if (at === undefined || locked) return null;
  return (
    <Link
      to={pathOf(at, { jobId: view.id, harnessId: view.job.harness.id })}
      className="inline-flex min-h-11 items-center font-semibold text-copper underline underline-offset-4"
    >
      {linkWords(at)}
    </Link>
  );
}
