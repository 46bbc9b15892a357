import Joi from 'joi';
import type { Todo } from '../operations/index.ts';
import { findingSchema } from './findingSchema.ts';
import { instant, positionMm } from './schema/fields.ts';
import { named, needed, shape } from './schema/shape.ts';

const words = Joi.string().allow('');
const ofJob = shape<NonNullable<Todo['doing']>>({ id: needed(words), number: needed(words) });

type OnRun = Extract<NonNullable<Todo['place']>, { readonly run: string }>;
type AtCavity = Extract<NonNullable<Todo['place']>, { readonly cavity: string }>;

/** Something to be done on a harness, as it is answered. */
export const todoSchema = named(
  'todo',
  shape<Todo>({
    id: needed(words),
    harnessId: needed(words),
    machine: needed(words),
    harness: needed(words),
    words: needed(words),
    circuitNumber: words,
    place: Joi.alternatives(
      shape<OnRun>({ run: needed(words), atMm: needed(positionMm), fromName: needed(words) }),
      shape<AtCavity>({ connector: needed(words), cavity: needed(words) }),
    ),
    finding: findingSchema,
    by: needed(words),
    at: needed(instant),
    seenIn: ofJob,
    doing: ofJob,
    ended: shape<NonNullable<Todo['ended']>>({
      by: needed(words),
      at: needed(instant),
      because: words,
      job: ofJob,
    }),
  }),
);
