import { EntitySchema } from 'typeorm';
import { key, text } from './columns.ts';
import type * as Rows from './rows.ts';

const truth = { type: 'boolean' } as const;
export const AccountEntity = new EntitySchema<Rows.AccountRow>({
  name: 'account',
  columns: {
    id: key,
    name: text,
    nameKey: { ...text, unique: true },
    role: text,
    active: truth,
    secret: text,
    mustChange: truth,
    since: text,
  },
});
export const SignInEntity = new EntitySchema<Rows.SignInRow>({
  name: 'sign_in',
  columns: {
    id: key,
    accountId: text,
    tokenHash: { ...text, unique: true },
    device: text,
    shared: truth,
    since: text,
    seen: text,
  },
  foreignKeys: [{ target: 'account', columnNames: ['accountId'], referencedColumnNames: ['id'] }],
});
