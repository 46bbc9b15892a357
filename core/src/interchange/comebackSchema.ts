import Joi from 'joi';
import { COMPARED_NAMES, type Counted, type RateLine, type Share } from '../comeback/index.ts';
import { FAILURE_NAMES } from '../damage/index.ts';
import type { Comebacks } from '../operations/index.ts';
import { flag } from './schema/fields.ts';
import { named, needed, oneOf, shape, type FieldsOf } from './schema/shape.ts';

const whole = Joi.number().integer().min(0);
const part = Joi.number().min(0).max(1);
const counted = named(
  'counted',
  shape<Counted>({
    count: needed(whole),
    share: shape<Share>({ share: needed(part), low: needed(part), high: needed(part) }),
    standsOut: needed(flag),
  }),
  'How many of some repairs, and what share that is with its 95 % interval; none of fewer than five.',
);

/** How often repairs came back, as it is answered. */
export const comebackSchemas: FieldsOf<Comebacks> = {
  by: needed(oneOf(COMPARED_NAMES)),
  repairs: needed(whole),
  back: needed(whole),
  again: needed(whole),
  without: needed(whole),
  more: needed(whole),
  lines: needed(
    Joi.array().items(
      shape<RateLine>({
        name: needed(Joi.string().allow('')),
        repairs: needed(whole),
        machines: needed(whole),
        back: needed(counted),
        again: needed(counted),
        backAfterDays: Joi.number().integer(),
        whys: needed(
          Joi.array().items(
            shape<RateLine['whys'][number]>({
              why: needed(oneOf([...FAILURE_NAMES, 'unknown'])),
              count: needed(whole),
            }),
          ),
        ),
      }),
    ),
  ),
};
