import Joi from 'joi';
import type { Share, SharedBody, SharedRecord } from '../operations/index.ts';
import { date, flag, instant, positionMm } from './schema/fields.ts';
import { named, needed, shape } from './schema/shape.ts';

const words = Joi.string().allow('');

export const shareSchema = named(
  'share',
  shape<Share>({ id: needed(words), until: needed(date), by: needed(words), at: needed(instant), over: needed(flag) }),
  'A link by which a repair is shown to somebody outside.',
);

export const sharedRecordSchema = named(
  'sharedRecord',
  shape<SharedRecord>({
    body: needed(
      shape<SharedBody>({
        jobNumber: needed(words),
        machine: needed(words),
        harness: needed(words),
        circuitNumber: needed(words),
        circuitFunction: needed(words),
        run: needed(words),
        atMm: needed(positionMm),
        fromName: needed(words),
        finding: needed(words),
        cause: words,
        method: needed(words),
        functionSeen: words,
        notMeasured: flag,
        temporaryUntil: words,
        signedBy: needed(words),
        signedAt: needed(instant),
      }),
    ),
    proved: needed(Joi.array().items(words)),
    until: needed(date),
    endedOn: words,
  }),
  'A repair as a link shows it.',
);
