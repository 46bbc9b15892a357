import { figure } from '../../units/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import { judgeSamples } from '../pull.ts';

/** Samples pulled to destruction. */
interface SamplesCheck extends CheckBase {
  readonly minimumN: number;
}

export const samples = readingKind({
  kind: 'samples',
  fields: { newtons: { type: 'numbers', words: 'A pull', unit: 'N', from: 0, fromIsAllowed: true, to: 20_000 } },
  rule: (check: SamplesCheck, { newtons }) => {
    const { verdict, watch, cause, next } = judgeSamples(newtons, check.minimumN);
    return { verdict, watch, cause, next };
  },
  words: ({ newtons }) => `${newtons.map((pull) => figure(pull, 0)).join(', ')} N`,
});

/** Sample pulls, where somebody makes them. @param minimumN minimum pull of the thinnest wire in it */
export const samplesCheck = (minimumN: number): SamplesCheck & { readonly kind: 'samples' } => ({
  id: 'samples',
  kind: 'samples',
  required: false,
  title: 'Sample pulls',
  how: 'On samples, to destruction: three or more, in newtons.',
  minimumN,
});
