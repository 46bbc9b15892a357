import { requestOf } from './request.ts';

/** The addresses that the list of jobs asks for, which come with the page. */
export const FIRST_PAGE = {
  open: requestOf('jobs', { status: 'open' }).url,
  signed: requestOf('jobs', { status: 'signed' }).url,
  due: requestOf('due', { limit: 1 }).url,
} as const;
