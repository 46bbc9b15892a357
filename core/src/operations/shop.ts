import type { JobSummary, PageAsked } from './types.ts';

/** What is known of the shop without planning a job. */
export interface ShopState {
  /** When this week began, by the server's clock. */
  readonly since: string;
  readonly open: number;
  /** Temporary repairs that should have been made good by now. */
  readonly overdue: number;
  /** Jobs that were signed this week, and the last of them. */
  readonly signed: number;
  readonly lastSigned: readonly JobSummary[];
}

/** Which jobs' standings are asked for: open ones, or those that were signed this week. */
export interface ShopAsked extends PageAsked {
  readonly signed?: boolean | undefined;
}
