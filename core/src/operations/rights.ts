import type { OperationName } from './operations.ts';
import { hasRight, type Right, type Role } from './people.ts';

/** What needs another right than is usual: reads are for everybody who is signed in, changes are work. */
const OTHERWISE: Readonly<Partial<Record<OperationName, Right>>> = {
  health: 'enter',
  session: 'enter',
  signIn: 'enter',
  signOut: 'enter',
  // Its address is the secret.
  calendar: 'enter',
  sharedRecord: 'enter',

  confirm: 'read',
  changeSecret: 'read',
  endSignIn: 'read',
  addPerson: 'read',
  keepSearch: 'read',
  practiceEffect: 'read',

  accounts: 'people',
  addAccount: 'people',
  changeAccount: 'people',

  addReadings: 'prove',
  seeFunctions: 'prove',
  addPhoto: 'prove',
  keepPhoto: 'prove',

  sign: 'sign',
  correctRecord: 'sign',
  setDue: 'sign',
  shareRecord: 'sign',
  endShare: 'sign',

  setCalendar: 'lead',
  setPractice: 'lead',
  addPractice: 'lead',
  changePractice: 'lead',
  setUsualPractice: 'lead',
  removePractice: 'lead',
  importShelf: 'lead',
  readParcel: 'lead',
};

/** What an operation needs of whoever asks for it. @param isRead nothing is changed by it */
export const rightOf = (name: OperationName, isRead: boolean): Right => OTHERWISE[name] ?? (isRead ? 'read' : 'work');

/** Whether a role may do what is not only read. */
export const mayDo = (role: Role, name: OperationName): boolean => hasRight(role, rightOf(name, false));
