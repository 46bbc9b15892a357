import type { AskName, OperationName, ReadName, WriteName } from './operations.ts';
import { hasRight, type Right, type Role } from './people.ts';

/** What each change needs: the compiler asks for every one. */
const CHANGES: Readonly<Record<WriteName | AskName, Right>> = {
  signIn: 'enter',
  signOut: 'enter',
  confirm: 'read',
  changeSecret: 'read',
  endSignIn: 'read',
  addPerson: 'read',
  addAccount: 'people',
  changeAccount: 'people',

  openJob: 'work',
  beginQuick: 'work',
  beginConnector: 'work',
  importJob: 'work',
  sayGate: 'work',
  withdrawGate: 'work',
  addFinding: 'work',
  changeFinding: 'work',
  removeFinding: 'work',
  saveMapping: 'work',
  readContinuity: 'work',
  setLayout: 'work',
  choose: 'work',
  tick: 'work',
  makeAgain: 'work',
  addHarness: 'work',
  changeHarness: 'work',
  joinHarness: 'work',
  nameHarness: 'work',
  changeShelf: 'work',

  addReadings: 'prove',
  seeFunctions: 'prove',
  addPhoto: 'prove',
  keepPhoto: 'prove',

  sign: 'sign',
  correctRecord: 'sign',

  setPractice: 'lead',
  practiceEffect: 'read',
  addPractice: 'lead',
  changePractice: 'lead',
  setUsualPractice: 'lead',
  removePractice: 'lead',
  importShelf: 'lead',
};

/** What is read by others than whoever is signed in. */
const READS: Readonly<Partial<Record<ReadName, Right>>> = { health: 'enter', session: 'enter', accounts: 'people' };

/** What an operation needs of whoever asks for it. */
export const rightOf = (name: OperationName): Right =>
  (CHANGES as Readonly<Partial<Record<OperationName, Right>>>)[name] ?? READS[name as ReadName] ?? 'read';

export const mayDo = (role: Role, name: OperationName): boolean => hasRight(role, rightOf(name));
