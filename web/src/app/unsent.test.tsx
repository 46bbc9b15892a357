import { renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInServer, writesOf, type Sent } from '../test/server.ts';

const FINDING = { jobId: 'job', jobVersion: 4, findingId: 'F2', version: 1 } as const;
const PATH = 'DELETE /jobs/job/findings/F2';
const GATE = { jobId: 'job', version: 4, findingId: 'F1', use: null } as const;
const NO_ANSWER = { status: 502, body: {} };
const SAVED = { body: { jobVersion: 5 } };
const NOBODY = { status: 401, body: { error: { code: 'SIGN_IN_NEEDED', message: 'Sign in first.' } } };
const STALE = { status: 409, body: { error: { code: 'STALE', message: 'Somebody was faster.' } } };
const open = { body: { signsIn: false, mayBegin: false } };
const signedIn = (name: string) => ({
  body: { signsIn: true, mayBegin: false, who: { id: 'P1', name, role: 'technician' } },
});

/** A page as the device opens it: nothing is left of the one before but what the device has kept. */
async function openPage(name: string) {
  vi.resetModules();
  const { useSave } = await import('./change.ts');
  const { makeStore } = await import('./store.ts');
  const { useSendUnsent } = await import('./useSendUnsent.ts');
  const { useNotice } = await import('./notice.ts');
  const { personChosen } = await import('./view.ts');
  const store = makeStore();
  store.dispatch(personChosen(name));
  const wrapper = ({ children }: { children: ReactNode }) => <Provider store={store}>{children}</Provider>;
  const usePage = () => {
    useSendUnsent();
    return { ...useSave(), words: useNotice()?.words };
  };
  return renderHook(usePage, { wrapper }).result;
}
const idsOf = (sent: readonly Sent[]) => writesOf(sent).map(({ body }) => body?.writeId);
const isKept = (): boolean => localStorage.getItem('mendum.unsent') !== null;

beforeEach(() => localStorage.clear());

describe('what the server did not answer', () => {
  it('is sent by the next page, with the id and content it had', async () => {
    const sent = standInServer({ [PATH]: NO_ANSWER, 'GET /session': open });
    await (await openPage('Ines')).current.save('removeFinding', FINDING);
    expect(isKept()).toBe(true);
    const again = standInServer({ [PATH]: SAVED, 'GET /session': open });
    const page = await openPage('Ines');
    await waitFor(() => expect(page.current.words).toBe('1 entry from before the page was closed: saved now.'));
    expect(writesOf(again)).toEqual(writesOf(sent));
    expect(isKept()).toBe(false);
  });
  it('is the same write when it is pressed again, though more has been seen since', async () => {
    let reply: object = NO_ANSWER;
    const sent = standInServer({ [PATH]: () => reply as never, 'GET /session': open });
    const page = await openPage('Ines');
    await page.current.save('removeFinding', FINDING);
    reply = SAVED;
    expect((await page.current.save('removeFinding', { ...FINDING, jobVersion: 5 })).ok).toBe(true);
    const [first, second] = writesOf(sent);
    expect(second).toEqual(first);
    await page.current.save('removeFinding', FINDING);
    expect(new Set(idsOf(sent)).size).toBe(2);
  });
  it('is made anew where it turns out never to have come, and the job has moved on', async () => {
    const replies = [NO_ANSWER, STALE, SAVED];
    const sent = standInServer({ [PATH]: () => replies.shift() ?? SAVED, 'GET /session': open });
    const page = await openPage('Ines');
    await page.current.save('removeFinding', FINDING);
    expect((await page.current.save('removeFinding', { ...FINDING, jobVersion: 5 })).ok).toBe(true);
    expect(writesOf(sent).map(({ body }) => body?.jobVersion)).toEqual([4, 4, 5]);
  });
  it('goes before what is written there next: nothing older comes in later, and a third press is a third write', async () => {
    const paths: string[] = [];
    let isThere = false;
    // The first came through, and only its answer was lost; pressed again it would be answered without being done.
    const done = new Set<unknown>();
    const sent = standInServer({
      'PUT /jobs/job/ticks': ({ body }) => {
        if (!done.has(body?.writeId)) paths.push(String(body?.done));
        done.add(body?.writeId);
        return isThere ? SAVED : NO_ANSWER;
      },
      'GET /session': open,
    });
    const page = await openPage('Ines');
    const tick = (set: boolean) =>
      page.current.save('tick', { jobId: 'job', version: 4, steps: [{ stepId: 'S', spliceId: 'F1:only' }], done: set });
    await tick(true);
    expect((await tick(false)).ok).toBe(false);
    expect((await tick(true)).ok).toBe(false);
    expect(JSON.parse(localStorage.getItem('mendum.unsent') ?? '[]')).toHaveLength(3);
    isThere = true;
    expect((await tick(true)).ok).toBe(true);
    expect(paths).toEqual(['true', 'false', 'true']);
    expect((await tick(false)).ok).toBe(true);
    expect((await tick(true)).ok).toBe(true);
    expect(paths).toEqual(['true', 'false', 'true', 'false', 'true']);
    expect(new Set(idsOf(sent)).size).toBe(5);
    expect(isKept()).toBe(false);
  });
  it('is told where it is refused later, and not tried for ever', async () => {
    standInServer({ [PATH]: NO_ANSWER, 'GET /session': open });
    await (await openPage('Ines')).current.save('removeFinding', FINDING);
    standInServer({ [PATH]: STALE, 'GET /session': open });
    const page = await openPage('Ines');
    await waitFor(() => expect(page.current.words).toContain('could not be saved: Somebody was faster.'));
    expect(isKept()).toBe(false);
  });
  it('of two, the second goes with what the first has made', async () => {
    // The second waits for the first, and neither has an answer when the page is closed.
    standInServer({ [PATH]: () => new Promise(() => undefined), 'GET /session': open });
    const page = await openPage('Ines');
    void page.current.save('removeFinding', FINDING);
    void page.current.save('choose', GATE);
    await waitFor(() => expect(localStorage.getItem('mendum.unsent')).toContain('choose'));
    const again = standInServer({ [PATH]: SAVED, 'POST /jobs/job/choices': SAVED, 'GET /session': open });
    const next = await openPage('Ines');
    await waitFor(() => expect(next.current.words).toBe('2 entries from before the page was closed: saved now.'));
    expect(writesOf(again).map(({ path, body }) => [path, body?.jobVersion ?? body?.version])).toEqual([
      ['/jobs/job/findings/F2', 4],
      ['/jobs/job/choices', 5],
    ]);
  });
  it('is not sent after 29 days: the server might do it twice', async () => {
    standInServer({ [PATH]: NO_ANSWER, 'GET /session': open });
    await (await openPage('Ines')).current.save('removeFinding', FINDING);
    const kept = JSON.parse(localStorage.getItem('mendum.unsent') ?? '[]') as { at: number }[];
    localStorage.setItem(
      'mendum.unsent',
      JSON.stringify(kept.map((one) => ({ ...one, at: one.at - 30 * 86_400_000 }))),
    );
    const again = standInServer({ [PATH]: SAVED, 'GET /session': open });
    const page = await openPage('Ines');
    await waitFor(() => expect(page.current.words).toContain('29 days ago'));
    expect([writesOf(again), isKept()]).toEqual([[], false]);
  });
});

describe('where people sign in', () => {
  it.each([
    ['whoever made it', 'Ines', 1],
    ['somebody else, by whom it is not sent', 'Tomas', 0],
  ])('%s opens the next page', async (_, name, times) => {
    standInServer({ [PATH]: NO_ANSWER, 'GET /session': signedIn('Ines') });
    await (await openPage('Ines')).current.save('removeFinding', FINDING);
    const again = standInServer({ [PATH]: SAVED, 'GET /session': signedIn(name) });
    await openPage(name);
    await waitFor(() => expect(again.some(({ path }) => path === '/session')).toBe(true));
    await waitFor(() => expect(writesOf(again)).toHaveLength(times));
    expect(isKept()).toBe(times === 0);
  });
  it('what was refused for want of a sign-in is sent once they have come back', async () => {
    standInServer({ [PATH]: NOBODY, 'GET /session': signedIn('Ines') });
    void (await openPage('Ines')).current.save('removeFinding', FINDING);
    await waitFor(isKept);
    const again = standInServer({ [PATH]: SAVED, 'GET /session': signedIn('Ines') });
    await openPage('Ines');
    await waitFor(() => expect(writesOf(again)).toHaveLength(1));
  });
  it('a label is not printed by the next page', async () => {
    standInServer({ 'POST /records/r1/label': NO_ANSWER, 'GET /session': signedIn('Ines') });
    await (await openPage('Ines')).current.save('printLabel', { recordId: 'r1', size: 'flag' });
    expect(isKept()).toBe(false);
  });
  it('a new PIN is kept nowhere', async () => {
    standInServer({ 'PUT /accounts/P2': NO_ANSWER, 'GET /session': signedIn('Ines') });
    const page = await openPage('Ines');
    await page.current.save('changeAccount', { accountId: 'P2', secret: '48213057' });
    expect(localStorage.getItem('mendum.unsent')).toBeNull();
  });
});
