import Joi from 'joi';
import type { Doubt, JobStanding } from '../shop/index.ts';
import { flag, instant } from './schema/fields.ts';
import { named, needed, shape } from './schema/shape.ts';

const words = Joi.string().allow('');
const whole = Joi.number().integer().min(0);

/** How a job stands, as it is answered. */
export const jobStandingSchema = named(
  'jobStanding',
  shape<JobStanding>({
    jobId: needed(words),
    harnessId: needed(words),
    number: needed(words),
    title: needed(words),
    machine: needed(words),
    updatedAt: needed(instant),
    makes: needed(whole),
    proved: needed(whole),
    toSign: needed(flag),
    doubts: needed(
      Joi.array().items(shape<Doubt>({ circuit: needed(words), words: needed(words), at: Joi.object().unknown() })),
    ),
    needs: needed(
      Joi.array().items(
        shape<JobStanding['needs'][number]>({
          id: needed(words),
          name: needed(words),
          unit: needed(words),
          need: needed(Joi.number().min(0)),
          have: needed(Joi.number().min(0)),
          short: needed(flag),
        }),
      ),
    ),
    missing: needed(Joi.array().items(words)),
    uncounted: needed(flag),
    plannedMin: needed(Joi.number().min(0)),
    workedMin: needed(whole),
  }),
  'How a job stands by its plan: what is proved, what is asked, what it takes and lacks, and its minutes.',
);
