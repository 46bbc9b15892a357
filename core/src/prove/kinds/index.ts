import { drop } from './drop.ts';
import { growth } from './growth.ts';
import { path } from './path.ts';
import { height } from './height.ts';
import { unmeasured } from './unmeasured.ts';
import { compression } from './compression.ts';
import { look } from './look.ts';
import { resistance } from './resistance.ts';
import { samples } from './samples.ts';
import { throat } from './throat.ts';
import { tug } from './tug.ts';

/** Every kind of reading: a new one is a file of its own, named here. */
export const READINGS = [
  look,
  tug,
  resistance,
  drop,
  path,
  height,
  growth,
  throat,
  unmeasured,
  compression,
  samples,
] as const;
