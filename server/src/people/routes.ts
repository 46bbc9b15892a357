import { randomUUID } from 'node:crypto';
import type { CookieOptions, Request, Response, Router } from 'express';
import { sentSchema } from '@mendum/core/interchange';
import { nameKey, whyNoSecret, type AnswerOf, type ArgsOf, type AskName } from '@mendum/core/operations';
import { keepAudit } from '../chain/append.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { logOf } from '../http/requestLog.ts';
import { checked } from '../http/handle.ts';
import { read, register, write, writeReady } from '../http/serve.ts';
import { askingOf, cookieName, sessionOf } from './asking.ts';
import { LASTS, type Door, type Who } from './door.ts';
import { hashOf, isSecret } from './secret.ts';

/** What a device says of itself, as far as it helps to tell two apart. */
function deviceOf(req: Request): string {
  const agent = req.get('user-agent') ?? '';
  const [system] = /iPad|iPhone|Android|Windows|Macintosh|Linux/.exec(agent) ?? [];
  const [browser] = /Firefox|Edg|Chrome|Safari/.exec(agent) ?? [];
  return [system ?? 'Unknown device', browser === 'Edg' ? 'Edge' : browser].filter(Boolean).join(', ');
}

const cookieFor = (req: Request): CookieOptions => ({
  httpOnly: true,
  sameSite: 'strict',
  secure: req.secure,
  path: '/',
});

/** Signing in and out, and one's own PIN. */
export function signInRoutes(router: Router, db: Database, door: Door): void {
  /** Registers what is asked in a body and is kept in no receipt: PINs are not written down. */
  const ask = <N extends AskName>(
    name: N,
    work: (args: ArgsOf<N>, req: Request, res: Response) => Promise<AnswerOf<N>>,
  ) => {
    const schema = sentSchema(name);
    const isEmpty = Object.keys((schema.describe().keys as object | undefined) ?? {}).length === 0;
    register(router, name, async (req, res) => {
      res.json(await work(isEmpty ? ({} as ArgsOf<N>) : checked<ArgsOf<N>>(schema, req), req, res));
    });
  };
  const refused = () => new AppError('SIGN_IN_REFUSED', 'Name and PIN do not belong together.', { field: '/secret' });
  /** @throws AppError SIGN_IN_WAITS, SIGN_IN_REFUSED */
  const accountBy = async (name: string, secret: string, req: Request) => {
    const known = nameKey(name);
    door.tries.begin(known);
    const account = (await door.accounts()).find((row) => row.nameKey === known && row.active);
    if (!(await isSecret(account?.secret, secret)) || !account) {
      logOf(req).warn({ event: 'sign-in refused', address: req.ip }, 'sign-in refused');
      throw refused();
    }
    door.tries.right(known);
    return account;
  };
  const mustBeSignedIn = (req: Request): Who => {
    const { who } = askingOf(req);
    if (!who) throw new AppError('SIGN_IN_NEEDED', 'Nobody is signed in here, or the sign-in has ended.');
    return who;
  };

  read(router, 'session', ({ req }) => sessionOf(askingOf(req)));
  ask('signIn', async ({ name, secret, shared }, req, res) => {
    const account = await accountBy(name, secret, req);
    const token = await door.begin(account, deviceOf(req), shared, askingOf(req).who?.signInId);
    if (token === undefined) throw refused();
    // On a shared tablet it ends with the browser, too.
    res.cookie(cookieName(req), token, { ...cookieFor(req), ...(shared ? {} : { maxAge: LASTS.own.inAllMs }) });
    logOf(req).info({ event: 'signed in', account: account.id }, 'signed in');
    return sessionOf({ ...askingOf(req), signsIn: true, who: await door.whose(token) });
  });
  ask('signOut', async (_args, req, res) => {
    const asking = askingOf(req);
    const { who } = asking;
    if (who) await door.endOne(who.signInId);
    res.clearCookie(cookieName(req), cookieFor(req));
    return sessionOf({ ...asking, who: undefined });
  });
  ask('confirm', async ({ secret, writeId }, req) => {
    const who = mustBeSignedIn(req);
    await accountBy(who.name, secret, req);
    door.confirm(who.signInId, writeId);
    return { ok: true as const };
  });
  ask('changeSecret', async ({ secret, next }, req) => {
    const who = mustBeSignedIn(req);
    const account = await accountBy(who.name, secret, req);
    const why = next === secret ? 'This is the PIN that it has now.' : whyNoSecret(next, account.role, account.name);
    if (why !== undefined) throw new AppError('SECRET_REFUSED', why, { field: '/next' });
    const hashed = await hashOf(next);
    await db.write(async (manager, after) => {
      after(await door.keepAccount(manager, { ...account, secret: hashed, mustChange: false }));
      after(await door.end(manager, (row) => row.accountId === account.id && row.id !== who.signInId));
      const at = new Date().toISOString();
      await keepAudit(manager, { at, by: who.name, what: 'own PIN changed', jobId: null, detail: { id: account.id } });
    });
    return { ok: true as const };
  });

  read(router, 'signIns', async ({ req }) => {
    const { who } = askingOf(req);
    const names = new Map((await door.accounts()).map(({ id, name }) => [id, name]));
    return (await door.holding())
      .filter(({ accountId }) => who?.role === 'admin' || accountId === who?.id)
      .map(({ id, accountId, device, shared, since, seen }) => ({
        id,
        name: names.get(accountId) ?? '',
        device,
        shared,
        since,
        seen,
        own: id === who?.signInId,
      }))
      .sort((a, b) => b.seen.localeCompare(a.seen));
  });
  write(
    router,
    db,
    'endSignIn',
    'sign-in ended',
    async ({ args: { signInId, by }, asking: { who }, manager, audit, after }) => {
      const row = (await door.holding()).find(({ id }) => id === signInId);
      if (!row || (who?.role !== 'admin' && row.accountId !== who?.id))
        throw new AppError('NOT_FOUND', 'There is no such sign-in, or it has ended.');
      after(await door.end(manager, ({ id }) => id === signInId));
      await audit('sign-in ended', null, { signInId, accountId: row.accountId, by });
      return { id: signInId };
    },
  );
}

/** A PIN is hashed before the database is asked for: everybody else's writes go on meanwhile. */
const hashedOf = ({ secret = '' }: { readonly secret?: string | undefined }): Promise<string> | string =>
  secret === '' ? '' : hashOf(secret);

/** Who may sign in, and what they may. */
export function accountRoutes(router: Router, db: Database, door: Door): void {
  read(router, 'accounts', async () =>
    [...(await door.accounts())]
      .sort((a, b) => a.name.localeCompare(b.name))
      .map(({ id, name, role, active, since }) => ({ id, name, role, active, since })),
  );

  writeReady(router, db, 'addAccount', 'account added', hashedOf, async (at) => {
    const { args, asking, ready: hashed, manager, now, audit, after } = at;
    const { name, role, secret } = args;
    const all = await door.accounts();
    if (all.length === 0 && !asking.isHere)
      throw new AppError('NOT_ALLOWED', 'The first account is made on the server’s own machine.');
    if (all.length === 0 && role !== 'admin')
      throw new AppError('ACCOUNT_REFUSED', 'The first account is an admin: somebody has to make the others.', {
        field: '/role',
      });
    if (all.some((row) => row.nameKey === nameKey(name)))
      throw new AppError('ACCOUNT_REFUSED', `"${name}" signs in already. Names are told apart by their letters.`, {
        field: '/name',
      });
    const why = whyNoSecret(secret, role, name);
    if (why !== undefined) throw new AppError('SECRET_REFUSED', why, { field: '/secret' });
    const id = randomUUID();
    // The first admin sets their own; everybody else takes one of their own at the first sign-in.
    const mustChange = all.length > 0;
    const row = { id, name, nameKey: nameKey(name), role, active: true, secret: hashed, mustChange, since: now };
    after(await door.keepAccount(manager, row));
    await audit('account added', null, { id, name, role });
    return { id };
  });

  writeReady(router, db, 'changeAccount', 'account changed', hashedOf, async (at) => {
    const { args, asking, ready: hashed, manager, audit, after } = at;
    const { accountId, role, active, secret } = args;
    const all = await door.accounts();
    const row = all.find(({ id }) => id === accountId);
    if (!row) throw new AppError('NOT_FOUND', 'There is no such account.');
    const next = { ...row, role: role ?? row.role, active: active ?? row.active };
    const others = all.filter((one) => one.id !== accountId && one.role === 'admin' && one.active);
    if (others.length === 0 && row.role === 'admin' && !(next.role === 'admin' && next.active))
      throw new AppError('ACCOUNT_REFUSED', `${row.name} is the only admin: make another one first.`);
    if (next.role === 'admin' && row.role !== 'admin' && secret === undefined)
      throw new AppError('SECRET_REFUSED', 'An admin needs a passphrase: give one along with the role.', {
        field: '/secret',
      });
    const why = secret === undefined ? undefined : whyNoSecret(secret, next.role, row.name);
    if (why !== undefined) throw new AppError('SECRET_REFUSED', why, { field: '/secret' });
    const set = secret === undefined ? {} : { secret: hashed, mustChange: accountId !== asking.who?.id };
    after(await door.keepAccount(manager, { ...next, ...set }));
    after(await door.end(manager, (one) => one.accountId === accountId));
    await audit('account changed', null, {
      id: accountId,
      role: next.role,
      active: next.active,
      newSecret: secret !== undefined,
    });
    return { id: accountId };
  });
}
