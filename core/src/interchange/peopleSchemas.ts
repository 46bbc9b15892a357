import Joi from 'joi';
import { ROLES, type Account, type Person, type Session, type SignIn } from '../operations/index.ts';
import { flag, instant } from './schema/fields.ts';
import { named, needed, oneOf, shape } from './schema/shape.ts';

const words = Joi.string().allow('');
const role = oneOf(ROLES);
export const sessionSchema = named(
  'session',
  shape<Session>({
    signsIn: needed(flag),
    who: shape<NonNullable<Session['who']>>({
      id: needed(words),
      name: needed(words),
      role: needed(role),
      mustChange: flag,
    }),
    mayBegin: needed(flag),
  }),
  'Who is asking, as the server knows it.',
);
export const accountSchema = named(
  'account',
  shape<Account>({
    id: needed(words),
    name: needed(words),
    role: needed(role),
    active: needed(flag),
    since: needed(instant),
  }),
  'Somebody who may sign in.',
);
export const signInSchema = named(
  'signIn',
  shape<SignIn>({
    id: needed(words),
    name: needed(words),
    device: needed(words),
    shared: needed(flag),
    since: needed(instant),
    seen: needed(instant),
    own: needed(flag),
  }),
  'A sign-in that holds, on some device.',
);

/** A name that was picked at the bench, where nobody signs in. */
export const personSchema = shape<Person>({ name: needed(words), since: needed(instant) });
