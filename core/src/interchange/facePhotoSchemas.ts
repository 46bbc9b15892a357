import Joi from 'joi';
import { FACE_SIDES } from '../connector/index.ts';
import type { CavityMark, FacePhoto } from '../operations/index.ts';
import { cavityText, instant, version } from './schema/fields.ts';
import { named, needed, oneOf, shape } from './schema/shape.ts';

const words = Joi.string().allow('');
const pixels = Joi.number().integer().min(1);
const part = Joi.number().min(0).max(1);

export const cavityMarkSchema = shape<CavityMark>({ cavity: needed(cavityText), x: needed(part), y: needed(part) });

export const facePhotoSchema = named(
  'facePhoto',
  shape<FacePhoto>({
    id: needed(words),
    version: needed(version),
    side: needed(oneOf(FACE_SIDES)),
    name: needed(words),
    widthPx: needed(pixels),
    heightPx: needed(pixels),
    marks: needed(Joi.array().items(cavityMarkSchema)),
    by: needed(words),
    at: needed(instant),
  }),
  'A photo beside the face of a connector.',
);
