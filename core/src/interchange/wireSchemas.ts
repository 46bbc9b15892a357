import Joi from 'joi';
import {
  COLOURS,
  JACKETS,
  LARGEST_AWG,
  SMALLEST_AWG,
  TRADE_PAIRS_MM2,
  USUAL_CONDUCTOR,
  USUAL_JACKET,
  WALLS_MM,
  type Conductor,
  type Jacket,
  type WireColour,
  type WireSize,
  type WireSpec,
} from '../wire/index.ts';
import { above0, area } from './schema/fields.ts';
import { named, needed, oneOf, shape, usual, variants } from './schema/shape.ts';

type SizeOf<B> = Extract<WireSize, { readonly basis: B }>;
export const sizeSchema = named(
  'wireSize',
  variants<WireSize, 'basis'>('basis', {
    metric: shape<SizeOf<'metric'>>({ basis: needed(oneOf(['metric'])), areaMm2: needed(area) }),
    awg: shape<SizeOf<'awg'>>({
      basis: needed(oneOf(['awg'])),
      awg: needed(Joi.number().integer().min(LARGEST_AWG).max(SMALLEST_AWG)),
      areaMm2: area,
    }),
    trade: shape<SizeOf<'trade'>>({
      basis: needed(oneOf(['trade'])),
      awg: needed(oneOf(TRADE_PAIRS_MM2.keys())),
      areaMm2: area,
    }),
  }),
  'How big the copper is, as it was found out: a metric area, a true American gauge, or a trade label.',
);

export const colourSchema = named(
  'wireColour',
  shape<WireColour>({ base: needed(oneOf(COLOURS)), stripe: oneOf(COLOURS) }),
);

/** Strands are counted of a stranded conductor only. */
type AnyConductor = Pick<Extract<Conductor, { readonly kind: 'stranded' }>, 'strands' | 'metal'> &
  Pick<Conductor, 'kind'>;

export const wireSchema = named(
  'wire',
  shape<WireSpec>({
    size: needed(sizeSchema),
    conductor: usual(
      shape<AnyConductor>({
        kind: needed(oneOf(['stranded', 'solid'])),
        strands: Joi.number().integer().min(2).max(2000),
        metal: oneOf(['aluminium']),
      }),
      USUAL_CONDUCTOR,
    ),
    jacket: usual(
      shape<Jacket>({
        material: needed(oneOf(Object.keys(JACKETS))),
        wall: needed(oneOf(Object.keys(WALLS_MM))),
        outerDiameterMm: above0(60),
      }),
      USUAL_JACKET,
    ),
    colour: usual(colourSchema, { base: 'natural' }),
  }),
  'A piece of wire. Without conductor and jacket it is stranded, thin-wall, cross-linked polyethylene.',
);
