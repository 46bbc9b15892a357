import type { ErrorBody } from '@mendum/core/operations';

const UNREACHABLE: ErrorBody['error'] = {
  code: 'UNREACHABLE',
  message: 'The server did not answer: this may not be saved.',
  hint: 'Check the network and press again; nothing is done twice.',
};

/** The one error shape out of whatever went wrong. */
export function errorOf(thrown: unknown): ErrorBody['error'] {
  const data = (thrown as { data?: unknown } | undefined)?.data;
  const error = (data as Partial<ErrorBody> | undefined)?.error;
  return error ?? UNREACHABLE;
}

/** Whether it is not known what came of it. */
export const isUnanswered = ({ code }: ErrorBody['error']): boolean => code === UNREACHABLE.code;
