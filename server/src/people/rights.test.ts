import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { OPERATIONS, ROLES, type OperationName, type Role } from '@mendum/core/operations';
import { openShop, withEverybody, type Agent, type Shop } from './test/shop.ts';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
  await withEverybody(shop);
});
afterAll(() => shop.close());

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
  keepLayout: 'tla',
  choose: 'tla',
  tick: 'tla',
  addReadings: 'tila',
  seeFunctions: 'tila',
  makeAgain: 'tla',
  sign: 'tila',
  correctRecord: 'tila',
  makeGood: 'tla',
  setDue: 'tila',
  recordSheet: 'tila',
  chain: 'tila',
  allRecords: 'tila',
  comebacks: 'tila',
  searches: 'tila',
  keepSearch: 'tila',
  exportTable: 'tila',
  exportBook: 'tila',
  exportRecords: 'tila',
  exportParcel: 'tila',
  readParcel: 'la',
  parcels: 'tila',
  parcelRecords: 'tila',
  parcelFile: 'tila',
  parcelAgain: 'tila',
  shares: 'tila',
  shareRecord: 'tila',
  endShare: 'tila',
  sharedRecord: '*tila',
  shop: 'tila',
  shopJobs: 'tila',
  record: 'tila',
  labelPrinter: 'tila',
  jobLabels: 'tila',
  recordLabel: 'tila',
  recordLabelPage: 'tila',
  printLabel: 't-la',
  harnessHistory: 'tila',
  due: 'tila',
  todos: 'tila',
  addTodo: 'tla',
  doTodo: 'tla',
  endTodo: 'tla',
  leaveFinding: 'tla',
  calendarAddress: 'tila',
  calendar: '*tila',
  setCalendar: 'la',
  templateSheets: 'tila',
  templateDrawing: 'tila',
  addPhoto: 'tila',
  facePhotos: 'tila',
  addFacePhoto: 'tla',
  setFacePhoto: 'tla',
  facePhoto: 'tila',
  smallFacePhoto: 'tila',
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
    const made = await Promise.all(ROLES.map(async (role) => [role, await shop.signedIn(role)] as const));
    agents = Object.fromEntries(made) as Readonly<Record<Role, Agent>>;
  });
  test.each(Object.entries(TABLE) as [OperationName, string][])('%s: %s', async (name, who) => {
    expect(await asked(shop.somebody(), name)).toBe(who.startsWith('*') ? 'in' : 401);
    for (const role of ROLES) {
      // Signing out ends what the other rows need.
      const agent = name === 'signOut' ? await shop.signedIn(role) : agents[role];
      expect([role, await asked(agent, name)]).toEqual([role, who.includes(role.slice(0, 1)) ? 'in' : 403]);
    }
  });
});
