import { EntitySchema } from 'typeorm';
import { key, text } from './columns.ts';
import type * as Rows from './rows.ts';

const truth = { type: 'boolean' } as const;
export const AccountEntity = new EntitySchema<Rows.AccountRow>({
  name: 'account',
  columns: {
    id: key,
    name: text,
    nameKey: text,
    role: text,
    active: truth,
    secret: text,
    mustChange: truth,
    since: text,
  },
  uniques: [{ name: 'account_name', columns: ['nameKey'] }],
});
export const SignInEntity = new EntitySchema<Rows.SignInRow>({
  name: 'sign_in',
  columns: {
    id: key,
    accountId: text,
    tokenHash: text,
    device: text,
    shared: truth,
    since: text,
    seen: text,
  },
  uniques: [{ name: 'sign_in_token', columns: ['tokenHash'] }],
  foreignKeys: [{ target: 'account', columnNames: ['accountId'], referencedColumnNames: ['id'] }],
});
