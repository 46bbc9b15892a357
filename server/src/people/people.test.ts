import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Role } from '@mendum/core/operations';
import { codeOf, FIRST, head, MINUTE, NAMES, openShop, SECRETS, signIn, type Shop } from './test/shop.ts';

let shop: Shop;
let { somebody, signedIn, pass } = {} as Shop;
beforeAll(async () => {
  shop = await openShop();
  ({ somebody, signedIn, pass } = shop);
});
afterAll(() => shop.close());

describe('before anybody has an account', () => {
  it('names are picked, everybody may do everything, and the first account may be made here', async () => {
    const { body } = await somebody().get('/api/session').expect(200);
    expect(body).toEqual({ signsIn: false, mayBegin: true });
    await somebody().get('/api/jobs').expect(200);
    await somebody().post('/api/people').send(head('Ines Valdur')).expect(201);
  });
  it('the first account is an admin', async () => {
    const made = (role: Role) => shop.addAccount(somebody(), role);
    expect(codeOf(await made('technician').expect(409))).toBe('ACCOUNT_REFUSED');
    await made('admin').expect(201);
  });
  it('from then on nobody gets in without signing in', async () => {
    expect((await somebody().get('/api/session')).body).toEqual({ signsIn: true, mayBegin: false });
    await somebody().get('/api/jobs').expect(401);
    await somebody().get('/api/health').expect(200);
  });
  it('the admin makes the others', async () => {
    const admin = await signedIn('admin');
    for (const role of ['technician', 'inspector', 'lead'] as const) await shop.addAccount(admin, role).expect(201);
    const { body } = await admin.get('/api/accounts').expect(200);
    expect((body as { name: string }[]).map(({ name }) => name)).toEqual(Object.values(NAMES).sort());
  });
});

describe('a PIN that somebody else set', () => {
  it('opens nothing but the way to one’s own, which is another', async () => {
    const agent = somebody();
    const { body } = await signIn(agent, NAMES.technician, FIRST.technician).expect(200);
    expect(body).toMatchObject({ who: { name: NAMES.technician, mustChange: true } });
    expect(codeOf(await agent.get('/api/jobs').expect(403))).toBe('SECRET_TO_CHANGE');
    const change = (next: string) => agent.post('/api/session/secret').send({ secret: FIRST.technician, next });
    expect(codeOf(await change(FIRST.technician).expect(422))).toBe('SECRET_REFUSED');
    await change(SECRETS.technician).expect(200);
    await agent.get('/api/jobs').expect(200);
    await shop.settle('inspector');
    await shop.settle('lead');
  });
  it('so does one that an admin gives anew, and the old one is none', async () => {
    const admin = await signedIn('admin');
    const accounts = (await admin.get('/api/accounts')).body as { id: string; name: string }[];
    const id = accounts.find(({ name }) => name === NAMES.technician)?.id ?? '';
    await admin
      .put(`/api/accounts/${id}`)
      .send({ ...head(), secret: FIRST.technician })
      .expect(200);
    await signIn(somebody(), NAMES.technician, SECRETS.technician).expect(401);
    await shop.settle('technician');
    await (await signedIn('technician')).get('/api/jobs').expect(200);
  });
});

describe('a sign-in', () => {
  it('is held by a cookie that no script reads and no other site sends', async () => {
    const { headers } = await signIn(somebody(), NAMES.technician, SECRETS.technician).expect(200);
    const [cookie = ''] = headers['set-cookie'] as unknown as string[];
    expect(cookie).toMatch(/^mendum=[\w-]{43}; Max-Age=43200; Path=\/; .*HttpOnly; SameSite=Strict$/);
    const safe = await signIn(somebody().set('X-Forwarded-Proto', 'https'), NAMES.technician, SECRETS.technician);
    expect((safe.headers['set-cookie'] as unknown as string[])[0]).toMatch(/^__Host-mendum=.* Path=\/;.* Secure;/);
    const shared = await signIn(somebody(), NAMES.technician, SECRETS.technician, true);
    expect((shared.headers['set-cookie'] as unknown as string[])[0]).not.toContain('Max-Age');
  });
  it.each([
    ['own', false, 29, 31],
    ['shared', true, 9, 11],
  ] as const)('on an %s device ends when nothing is asked', async (_device, shared, holds, ends) => {
    const agent = await signedIn('technician', shared);
    pass(holds * MINUTE);
    await agent.get('/api/jobs').expect(200);
    pass(ends * MINUTE);
    await agent.get('/api/jobs').expect(401);
  });
  it('ends after 12 hours whatever is asked', async () => {
    const agent = await signedIn('lead');
    for (let minutes = 0; minutes < 718; minutes += 20) {
      await agent.get('/api/session');
      pass(20 * MINUTE);
    }
    pass(MINUTE);
    await agent.get('/api/jobs').expect(401);
  });
  it('on the same device takes the place of the one before', async () => {
    const agent = await signedIn('technician');
    const before = (await agent.get('/api/sign-ins')).body as { id: string; own: boolean }[];
    await signIn(agent, NAMES.lead, SECRETS.lead).expect(200);
    const admin = await signedIn('admin');
    const all = (await admin.get('/api/sign-ins')).body as { id: string }[];
    expect(all.map(({ id }) => id)).not.toContain(before.find(({ own }) => own)?.id);
  });
  it('is listed, ended by its own, and by nobody else but an admin', async () => {
    const [mine, other, inspector] = [await signedIn('lead'), await signedIn('lead'), await signedIn('inspector')];
    const list = (await mine.get('/api/sign-ins').expect(200)).body as { id: string; name: string; own: boolean }[];
    expect(new Set(list.map(({ name }) => name))).toEqual(new Set([NAMES.lead]));
    const otherId = ((await other.get('/api/sign-ins')).body as typeof list).find(({ own }) => own)?.id ?? '';
    await inspector.delete(`/api/sign-ins/${otherId}`).send(head()).expect(404);
    await mine.delete(`/api/sign-ins/${otherId}`).send(head()).expect(200);
    await other.get('/api/jobs').expect(401);
    await mine.get('/api/jobs').expect(200);
  });
  it('of somebody who may not sign in any more has ended', async () => {
    const [admin, agent] = [await signedIn('admin'), await signedIn('inspector')];
    const accounts = (await admin.get('/api/accounts')).body as { id: string; name: string }[];
    const id = accounts.find(({ name }) => name === NAMES.inspector)?.id ?? '';
    await admin
      .put(`/api/accounts/${id}`)
      .send({ ...head(), active: false })
      .expect(200);
    await agent.get('/api/jobs').expect(401);
    expect(codeOf(await signIn(somebody(), NAMES.inspector, SECRETS.inspector).expect(401))).toBe('SIGN_IN_REFUSED');
    await admin
      .put(`/api/accounts/${id}`)
      .send({ ...head(), active: true })
      .expect(200);
    await signIn(somebody(), NAMES.inspector, SECRETS.inspector).expect(200);
  });
  it('the only admin stays one', async () => {
    const admin = await signedIn('admin');
    const { who } = (await admin.get('/api/session')).body as { who: { id: string } };
    for (const change of [{ role: 'lead' }, { active: false }])
      expect(
        codeOf(
          await admin
            .put(`/api/accounts/${who.id}`)
            .send({ ...head(), ...change })
            .expect(409),
        ),
      ).toBe('ACCOUNT_REFUSED');
  });
});

describe('at the same moment', () => {
  const nobodyYet = async (work: (shop: Shop) => Promise<void>) => {
    const other = await openShop();
    await work(other);
    await other.close();
  };
  it('two first accounts, of one name or of two, and one is made', () =>
    nobodyYet(async (other) => {
      const made = await Promise.all([1, 2, 3].map(() => other.addAccount(other.somebody(), 'admin')));
      // The others were refused as somebody outside, or because there is one of that name by now.
      const [first, ...rest] = made.map(({ status }) => status).sort();
      expect([first, rest.every((status) => status === 401 || status === 409)]).toEqual([201, true]);
      const admin = await other.signedIn('admin');
      expect((await admin.get('/api/accounts')).body).toHaveLength(1);
    }));
  it('two admins who make each other none: one stays', () =>
    nobodyYet(async (other) => {
      await other.addAccount(other.somebody(), 'admin').expect(201);
      const admin = await other.signedIn('admin');
      const second = { name: 'Oda Brenn', role: 'admin', secret: 'four geese under a bridge' };
      await admin
        .post('/api/accounts')
        .send({ ...head(), ...second })
        .expect(201);
      const accounts = (await admin.get('/api/accounts')).body as { id: string }[];
      const changed = await Promise.all(
        accounts.map(({ id }) => admin.put(`/api/accounts/${id}`).send({ ...head(), active: false })),
      );
      // The other was refused as the only one, or as somebody whose sign-in had just ended.
      expect(changed.filter(({ status }) => status === 200)).toHaveLength(1);
      expect(await other.db.source.query('SELECT "id" FROM "account" WHERE "active"')).toHaveLength(1);
    }));
  it('a sign-in by the old PIN, while it is changed, does not outlive it', async () => {
    const [agent, other] = [await signedIn('lead'), somebody()];
    const [change, begun] = await Promise.all([
      agent.post('/api/session/secret').send({ secret: SECRETS.lead, next: '159357' }),
      signIn(other, NAMES.lead, SECRETS.lead),
    ]);
    expect(change.status).toBe(200);
    if (begun.status === 200) await other.get('/api/jobs').expect(401);
    await agent.post('/api/session/secret').send({ secret: '159357', next: SECRETS.lead }).expect(200);
  });
});

describe('a wrong PIN', () => {
  it.each([
    ['a name that signs in', NAMES.technician],
    ['a name that nobody has', 'Nobody Known'],
  ])('of %s: after five the next waits, longer each time, and nothing tells the two apart', async (_what, name) => {
    pass(86_400_001);
    const words: string[] = [];
    for (let n = 0; n < 5; n += 1) {
      const { body } = await signIn(somebody(), name, '000001').expect(401);
      words.push((body as { error: { message: string } }).error.message);
    }
    expect(new Set(words)).toEqual(new Set(['Name and PIN do not belong together.']));
    const waits = await signIn(somebody(), name, SECRETS.technician).expect(429);
    expect((waits.body as { error: { message: string } }).error.message).toBe('5 wrong tries: the next one in 30 s.');
    pass(30_000);
    await signIn(somebody(), name, '000001').expect(401);
    pass(31_000);
    await signIn(somebody(), name, '000001').expect(429);
    pass(30_000);
    await signIn(somebody(), name, SECRETS.technician).expect(name === NAMES.technician ? 200 : 401);
  });
  it('many at once are not free', async () => {
    pass(86_400_001);
    const all = await Promise.all(Array.from({ length: 12 }, () => signIn(somebody(), NAMES.lead, '000001')));
    expect(all.map(({ status }) => status).filter((status) => status === 401)).toHaveLength(5);
    pass(86_400_001);
  });
});

describe('one address', () => {
  it('has 30 wrong tries in five minutes, whatever the names, and others go on', async () => {
    const [bad, good] = [somebody('10.9.9.9'), somebody('10.9.9.8')];
    for (let n = 0; n < 30; n += 1) await signIn(bad, `Name ${n}`, '000001').expect(401);
    const { body, headers } = await signIn(bad, NAMES.technician, SECRETS.technician).expect(429);
    expect((body as { error: { code: string } }).error.code).toBe('TOO_MANY');
    expect(headers['retry-after']).toMatch(/^\d+$/);
    await signIn(good, NAMES.technician, SECRETS.technician).expect(200);
    // However the address is written.
    for (const path of ['/api/Session', '/api/session/', '/API/SESSION'])
      await bad.post(path).send({ name: 'Name 1', secret: '000001', shared: false }).expect(429);
  });
  it('of somebody has 240 plans and sheets in a minute, and the rest goes on', async () => {
    const account = { name: 'Nell Orban', role: 'technician', secret: '605817' };
    await (
      await signedIn('admin')
    )
      .post('/api/accounts')
      .send({ ...head(), ...account })
      .expect(201);
    const agent = somebody();
    await signIn(agent, account.name, account.secret).expect(200);
    await agent.post('/api/session/secret').send({ secret: account.secret, next: '948261' }).expect(200);
    const find = () => agent.get('/api/find?words=zzz');
    for (let n = 0; n < 240; n += 1) await find().expect(200);
    await find().expect(429);
    await agent.get('/api/jobs').expect(200);
    await (await signedIn('lead')).get('/api/find?words=zzz').expect(200);
  });
});

describe('in whose name', () => {
  it('a write is done: of whoever is signed in, whatever the body says', async () => {
    const agent = await signedIn('technician');
    await agent.post('/api/people').send(head('The Boss')).expect(201);
    const { body } = await agent.get('/api/people');
    const names = (body as { name: string }[]).map(({ name }) => name);
    expect(names).toContain(NAMES.technician);
    expect(names).not.toContain('The Boss');
  });
  it('what goes against the ranking takes the PIN once more, for that write and no other', async () => {
    const agent = await signedIn('technician');
    const jobs = (await agent.get('/api/jobs')).body as { items: { id: string; number: string }[] };
    const id = jobs.items.find(({ number }) => number === '0147')?.id ?? '';
    const { version } = (await agent.get(`/api/jobs/${id}`)).body as { version: number };
    await agent
      .put(`/api/jobs/${id}/gate/isolation`)
      .send({ ...head(), version, how: 'provedDead' })
      .expect(200);
    const choice = { ...head(), version: version + 1, findingId: 'F1', use: 'clipSleeve', reason: 'Slim enough.' };
    const choose = (more = {}) => agent.post(`/api/jobs/${id}/choices`).send({ ...choice, ...more });
    expect(codeOf(await choose().expect(403))).toBe('CONFIRM_NEEDED');
    await agent.post('/api/session/confirm').send({ secret: '111112', writeId: choice.writeId }).expect(401);
    await agent.post('/api/session/confirm').send({ secret: SECRETS.technician, writeId: choice.writeId }).expect(200);
    expect((await choose()).status).not.toBe(403);
    expect((await choose()).status).not.toBe(403);
    expect(codeOf(await choose({ writeId: randomUUID() }).expect(403))).toBe('CONFIRM_NEEDED');
    expect((await choose({ writeId: randomUUID(), use: null })).status).not.toBe(403);
    pass(10 * MINUTE + 1);
    await agent.get('/api/session');
    expect(codeOf(await choose().expect(403))).toBe('CONFIRM_NEEDED');
  });
  it('PINs stand in no receipt, no audit line and no account', async () => {
    const rows = await Promise.all(
      ['receipt', 'audit', 'account', 'sign_in'].map((table) => shop.db.source.query(`SELECT * FROM "${table}"`)),
    );
    const all = JSON.stringify(rows);
    for (const secret of Object.values(SECRETS)) expect(all).not.toContain(secret);
    expect(all).toContain('$argon2id$v=19$m=19456,t=2,p=1$');
  });
});

describe('one’s own PIN', () => {
  it('is changed with the old one, and other sign-ins end', async () => {
    const [here, there] = [await signedIn('inspector'), await signedIn('inspector')];
    const change = (secret: string, next: string) => here.post('/api/session/secret').send({ secret, next });
    await change('000001', '739182').expect(401);
    expect(codeOf(await change(SECRETS.inspector, '123456').expect(422))).toBe('SECRET_REFUSED');
    await change(SECRETS.inspector, '739182').expect(200);
    await there.get('/api/jobs').expect(401);
    await here.get('/api/jobs').expect(200);
    await signIn(somebody(), NAMES.inspector, '739182').expect(200);
  });
});
