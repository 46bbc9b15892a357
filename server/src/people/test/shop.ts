import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import request from 'supertest';
import { ROLES, type Role } from '@mendum/core/operations';
import { createApp } from '../../app.ts';
import { openDatabase, type Database } from '../../db/open.ts';
import { seedDemo } from '../../demo/seed.ts';
import { answersAsDescribed } from '../../test/described.ts';

const TODAY = new Date('2031-05-20T09:00:00Z');
export const SECRETS: Readonly<Record<Role, string>> = {
  technician: '480593',
  inspector: '917352',
  lead: '264918',
  admin: 'three crows on a fence',
};
/** What an admin sets, and its owner changes at once. */
export const FIRST: Readonly<Record<Role, string>> = {
  technician: '371946',
  inspector: '582714',
  lead: '693825',
  admin: SECRETS.admin,
};
export const NAMES: Readonly<Record<Role, string>> = {
  technician: 'Ines Valdur',
  inspector: 'Petra Onslow',
  lead: 'Tomas Reck',
  admin: 'Mira Aldous',
};
export const MINUTE = 60_000;
export type Agent = ReturnType<typeof request.agent>;

export const head = (by = 'Somebody Else') => ({ writeId: randomUUID(), by });
export const codeOf = ({ body }: request.Response): string => (body as { error: { code: string } }).error.code;
export const signIn = (agent: Agent, name: string, secret: string, shared = false) =>
  agent.post('/api/session').send({ name, secret, shared });

/** A shop whose server is asked from many machines, with a clock that tests move on. */
export interface Shop {
  readonly db: Database;
  readonly pass: (ms: number) => void;
  /** Somebody with a browser of their own, on a machine of their own. */
  readonly somebody: (address?: string) => Agent;
  readonly addAccount: (agent: Agent, role: Role) => request.Test;
  /** Has somebody take a PIN of their own. */
  readonly settle: (role: Role) => Promise<void>;
  /** Somebody of a role, signed in. */
  readonly signedIn: (role: Role, shared?: boolean) => Promise<Agent>;
  readonly close: () => Promise<void>;
}

export async function openShop(): Promise<Shop> {
  const db = await openDatabase(':memory:');
  await seedDemo(db, TODAY);
  let clock = TODAY.getTime();
  let addresses = 0;
  const app = createApp({
    db,
    photosDir: '/nowhere',
    log: pino({ level: 'silent' }),
    before: answersAsDescribed,
    now: () => clock,
    proxies: 1,
  });
  const somebody = (address = `10.0.${addresses >> 8}.${(addresses += 1) & 255}`): Agent =>
    request.agent(app).set('X-Forwarded-For', address);
  return {
    db,
    somebody,
    pass: (ms) => void (clock += ms),
    addAccount: (agent, role) =>
      agent.post('/api/accounts').send({ ...head(), name: NAMES[role], role, secret: FIRST[role] }),
    settle: async (role) => {
      const agent = somebody();
      await signIn(agent, NAMES[role], FIRST[role]).expect(200);
      await agent.post('/api/session/secret').send({ secret: FIRST[role], next: SECRETS[role] }).expect(200);
    },
    signedIn: async (role, shared = false) => {
      const agent = somebody();
      await signIn(agent, NAMES[role], SECRETS[role], shared).expect(200);
      return agent;
    },
    close: () => db.close(),
  };
}

/** Lets somebody of every role sign in. */
export async function withEverybody({ somebody, addAccount, settle, signedIn }: Shop): Promise<void> {
  await addAccount(somebody(), 'admin').expect(201);
  const admin = await signedIn('admin');
  for (const role of ROLES.filter((one) => one !== 'admin')) {
    await addAccount(admin, role).expect(201);
    await settle(role);
  }
}
