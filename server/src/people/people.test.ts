import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { OPERATIONS, ROLES, type OperationName, type Role } from '@mendum/core/operations';
import { createApp } from '../app.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { seedDemo } from '../demo/seed.ts';
import { answersAsDescribed } from '../test/described.ts';

const TODAY = new Date('2031-05-20T09:00:00Z');
const SECRETS: Readonly<Record<Role, string>> = {
  technician: '480593',
  inspector: '917352',
  lead: '264918',
  admin: 'three crows on a fence',
};
const NAMES: Readonly<Record<Role, string>> = {
  technician: 'Ines Valdur',
  inspector: 'Petra Onslow',
  lead: 'Tomas Reck',
  admin: 'Mira Aldous',
};

let db: Database;
let app: ReturnType<typeof createApp>;
let clock = TODAY.getTime();
const pass = (ms: number): void => void (clock += ms);
const MINUTE = 60_000;

type Agent = ReturnType<typeof request.agent>;
let addresses = 0;
/** Somebody with a browser of their own, on a machine of their own. */
const somebody = (address = `10.0.${addresses >> 8}.${(addresses += 1) & 255}`): Agent =>
  request.agent(app).set('X-Forwarded-For', address);
const head = (by = 'Somebody Else') => ({ writeId: randomUUID(), by });
const signIn = (agent: Agent, name: string, secret: string, shared = false) =>
  agent.post('/api/session').send({ name, secret, shared });
async function signedIn(role: Role, shared = false): Promise<Agent> {
  const agent = somebody();
  await signIn(agent, NAMES[role], SECRETS[role], shared).expect(200);
  return agent;
}
const codeOf = ({ body }: request.Response): string => (body as { error: { code: string } }).error.code;

beforeAll(async () => {
  db = await openDatabase(':memory:');
  await seedDemo(db, TODAY);
  app = createApp({
    db,
    photosDir: '/nowhere',
    log: pino({ level: 'silent' }),
    before: answersAsDescribed,
    now: () => clock,
    proxies: 1,
  });
});
afterAll(() => db.close());

describe('before anybody has an account', () => {
  it('names are picked, everybody may do everything, and the first account may be made here', async () => {
    const { body } = await somebody().get('/api/session').expect(200);
    expect(body).toEqual({ signsIn: false, mayBegin: true });
    await somebody().get('/api/jobs').expect(200);
    await somebody().post('/api/people').send(head('Ines Valdur')).expect(201);
  });
  it('the first account is an admin', async () => {
    const made = (role: Role) =>
      somebody()
        .post('/api/accounts')
        .send({ ...head(), name: NAMES[role], role, secret: SECRETS[role] });
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
    for (const role of ['technician', 'inspector', 'lead'] as const)
      await admin
        .post('/api/accounts')
        .send({ ...head(), name: NAMES[role], role, secret: SECRETS[role] })
        .expect(201);
    const { body } = await admin.get('/api/accounts').expect(200);
    expect((body as { name: string }[]).map(({ name }) => name)).toEqual(Object.values(NAMES).sort());
  });
});

/** Who may what, by hand: the letters of the roles. t technician, i inspector, l lead, a admin; * nobody signed in as well. */
const TABLE: Readonly<Record<OperationName, string>> = {
  health: '*tila',
  session: '*tila',
  signIn: '*tila',
  signOut: '*tila',
  description: 'tila',
  docs: 'tila',
  backups: 'tila',
  people: 'tila',
  addPerson: 'tila',
  confirm: 'tila',
  changeSecret: 'tila',
  signIns: 'tila',
  endSignIn: 'tila',
  accounts: 'a',
  addAccount: 'a',
  changeAccount: 'a',
  jobs: 'tila',
  job: 'tila',
  jobShelf: 'tila',
  plan: 'tila',
  jobFile: 'tila',
  openJob: 'tla',
  beginQuick: 'tla',
  beginConnector: 'tla',
  importJob: 'tla',
  sayGate: 'tla',
  withdrawGate: 'tla',
  setPractice: 'la',
  addFinding: 'tla',
  changeFinding: 'tla',
  removeFinding: 'tla',
  saveMapping: 'tla',
  readContinuity: 'tla',
  setLayout: 'tla',
  choose: 'tla',
  tick: 'tla',
  addReadings: 'tila',
  seeFunctions: 'tila',
  makeAgain: 'tla',
  sign: 'tila',
  correctRecord: 'tila',
  recordSheet: 'tila',
  recordTable: 'tila',
  records: 'tila',
  chain: 'tila',
  allRecords: 'tila',
  due: 'tila',
  templateSheets: 'tila',
  templateDrawing: 'tila',
  addPhoto: 'tila',
  keepPhoto: 'tila',
  photo: 'tila',
  smallPhoto: 'tila',
  shelf: 'tila',
  shelfFile: 'tila',
  changeShelf: 'tla',
  importShelf: 'la',
  practice: 'tila',
  practices: 'tila',
  practiceEffect: 'tila',
  addPractice: 'la',
  changePractice: 'la',
  setUsualPractice: 'la',
  removePractice: 'la',
  harnesses: 'tila',
  harness: 'tila',
  find: 'tila',
  addHarness: 'tla',
  changeHarness: 'tla',
  joinHarness: 'tla',
  nameHarness: 'tla',
};

describe('every operation, asked by every role and by nobody', () => {
  const METHODS = { GET: 'get', POST: 'post', PUT: 'put', DELETE: 'delete' } as const;
  /** Asked for something that is not there: what is allowed gets further than who may. */
  const asked = async (agent: Agent, name: OperationName): Promise<'in' | 401 | 403> => {
    const { method, path } = OPERATIONS[name];
    const address = `/api${path.replace(/:[A-Za-z]+/g, randomUUID())}`;
    const { status } = await (method === 'GET' ? agent.get(address) : agent[METHODS[method]](address).send({}));
    return status === 401 || status === 403 ? status : 'in';
  };
  let agents: Readonly<Record<Role, Agent>>;
  beforeAll(async () => {
    const made = await Promise.all(ROLES.map(async (role) => [role, await signedIn(role)] as const));
    agents = Object.fromEntries(made) as Readonly<Record<Role, Agent>>;
  });
  test.each(Object.entries(TABLE) as [OperationName, string][])('%s: %s', async (name, who) => {
    expect(await asked(somebody(), name)).toBe(who.startsWith('*') ? 'in' : 401);
    for (const role of ROLES) {
      // Signing out ends what the other rows need.
      const agent = name === 'signOut' ? await signedIn(role) : agents[role];
      expect([role, await asked(agent, name)]).toEqual([role, who.includes(role.slice(0, 1)) ? 'in' : 403]);
    }
  });
});

describe('a sign-in', () => {
  it('is held by a cookie that no script reads and no other site sends', async () => {
    const { headers } = await signIn(somebody(), NAMES.technician, SECRETS.technician).expect(200);
    const [cookie = ''] = headers['set-cookie'] as unknown as string[];
    expect(cookie).toMatch(/^mendum=[\w-]{43}; Max-Age=43200; Path=\/; .*HttpOnly; SameSite=Strict$/);
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
      ['receipt', 'audit', 'account', 'sign_in'].map((table) => db.source.query(`SELECT * FROM "${table}"`)),
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
