import { useEffect } from 'react';
import { useSessionQuery } from './api.ts';
import { isUnanswered } from './errors.ts';
import { notify } from './notice.ts';
import { sendWrite } from './send.ts';
import { useAppDispatch, type Store } from './store.ts';
import { leaveUnanswered, unsentBefore, type Unsent } from './unsent.ts';

const entries = (count: number): string => (count === 1 ? '1 entry' : `${count} entries`);
const clock = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** Says what came of it, the worst last: that stays on the page. */
function tell(saved: number, old: number, refused: readonly { readonly at: number; readonly why: string }[]): void {
  const first = refused[0];
  if (first)
    notify(`${entries(refused.length)} from before the page was closed could not be saved: ${first.why}`, {
      hint: `Entered ${clock.format(first.at)}. Enter it anew if it is still right.`,
      wrong: true,
    });
  else if (old > 0)
    notify(`${entries(old)} of more than 29 days ago had no answer, and cannot be sent any more.`, { wrong: true });
  else if (saved > 0) notify(`${entries(saved)} from before the page was closed: saved now.`);
}

/** Sends one after the other, as they were made, until the server does not answer. */
async function sendAll(dispatch: Store['dispatch'], left: readonly Unsent[], old: number): Promise<void> {
  // What is written meanwhile goes behind them.
  for (const entry of left) leaveUnanswered(entry);
  let saved = 0;
  const refused: { at: number; why: string }[] = [];
  for (const entry of left) {
    const outcome = await sendWrite(dispatch, entry);
    if (outcome.ok) saved += 1;
    else if (isUnanswered(outcome.error)) break;
    else refused.push({ at: entry.at, why: outcome.error.message });
  }
  tell(saved, old, refused);
}

/**
 * Sends what an earlier page was closed over before the server had answered, once it is known who is here: where people
 * sign in, each sends their own only.
 */
export function useSendUnsent(): void {
  const session = useSessionQuery({}).data;
  const dispatch = useAppDispatch();
  const isKnown = session !== undefined;
  const mayAll = session?.signsIn === false;
  const isIn = session?.who !== undefined && session.who.mustChange !== true;
  const name = isIn ? session.who.name : undefined;
  useEffect(() => {
    if (!isKnown || (!mayAll && name === undefined)) return;
    const { left, old } = unsentBefore(mayAll ? undefined : name, Date.now());
    if (left.length > 0 || old > 0) void sendAll(dispatch, left, old);
  }, [isKnown, mayAll, name, dispatch]);
}
