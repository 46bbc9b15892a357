/** Who may do what. A role has the rights named here and no others; the server holds to it, the interface shows it. */
export const ROLES = ['technician', 'inspector', 'lead', 'admin'] as const;
export type Role = (typeof ROLES)[number];

/**
 * `enter` needs nobody signed in; `read` anybody; `work` changes jobs, harnesses and counts; `prove` reads and looks;
 * `sign` signs records and corrects them; `lead` changes practices and prices; `people` says who may what.
 */
export type Right = 'enter' | 'read' | 'work' | 'prove' | 'sign' | 'lead' | 'people';

const RIGHTS_OF: Readonly<Record<Role, readonly Right[]>> = {
  technician: ['enter', 'read', 'work', 'prove', 'sign'],
  inspector: ['enter', 'read', 'prove', 'sign'],
  lead: ['enter', 'read', 'work', 'prove', 'sign', 'lead'],
  admin: ['enter', 'read', 'work', 'prove', 'sign', 'lead', 'people'],
};

export const hasRight = (role: Role, right: Right): boolean => RIGHTS_OF[role].includes(right);

/** Somebody who may sign in. */
export interface Account {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Nobody is deleted: their name stands on records. Who left may not sign in. */
  readonly active: boolean;
  readonly since: string;
}

/** Who is asking, as the server knows it. */
export interface Session {
  /** Whether people sign in here at all; without an account names are picked, and everybody may do everything. */
  readonly signsIn: boolean;
  readonly who?:
    | {
        readonly id: string;
        readonly name: string;
        readonly role: Role;
        /** The PIN was set by somebody else: nothing is answered before they have taken their own. */
        readonly mustChange?: boolean | undefined;
      }
    | undefined;
  /** The first account may be made here: nobody has one, and this is the server's own machine. */
  readonly mayBegin: boolean;
}

/** A sign-in that holds, on some device. */
export interface SignIn {
  readonly id: string;
  readonly name: string;
  /** What the device said of itself. */
  readonly device: string;
  /** On a shared tablet it ends sooner. */
  readonly shared: boolean;
  readonly since: string;
  readonly seen: string;
  /** The one that asks. */
  readonly own: boolean;
}
