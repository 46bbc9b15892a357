import { figure } from '../../units/index.ts';
import { readingKind, type CheckBase } from '../kind.ts';
import { pass } from '../looks.ts';
import { tugOf } from '../pull.ts';

/** A pull on a joint that stays in service. */
interface TugCheck extends CheckBase {
  readonly targetN: number;
  readonly minimumN: number;
}

/**
 * A tug under this share of its target proves nothing; above this one it was more than a joint in service should see.
 */
const ENOUGH_SHARE = 0.8;
const MORE_SHARE = 1.05;

export const tug = readingKind({
  kind: 'tug',
  fields: {
    newtons: { type: 'number', words: 'A tug', unit: 'N', from: 0, fromIsAllowed: true, to: 10_000 },
    held: { type: 'flag' },
  },
  rule: (check: TugCheck, value) => {
    const target = figure(check.targetN, 0);
    if (!value.held) {
      return {
        verdict: 'scrap',
        watch: false,
        cause: `It let go at ${figure(value.newtons, 0)} N; it must hold ${target} and ${check.minimumN} on a sample.`,
        next: 'Check die and strip, cut it out and make it again.',
      };
    }
    if (value.newtons < ENOUGH_SHARE * check.targetN) {
      return {
        verdict: 'open',
        watch: false,
        cause: `${figure(value.newtons, 0)} N proves nothing yet.`,
        next: `Pull to ${target} N.`,
      };
    }
    if (value.newtons > MORE_SHARE * check.targetN) {
      return pass(
        `Held ${figure(value.newtons, 0)} N, more than the ${target} that a joint in service should see.`,
        true,
        'Look at the crimp again.',
      );
    }
    return pass(`Held ${figure(value.newtons, 0)} N of ${target}.`);
  },
  words: ({ newtons, held }) => `${figure(newtons, 0)} N, ${held ? 'held' : 'let go'}`,
});

/**
 * The tug of a crimp: to half of its minimum, and no further. @param minimumN minimum pull of the thinnest wire in it
 */
export const tugCheck = (minimumN: number): TugCheck & { readonly kind: 'tug' } => ({
  id: 'tug',
  kind: 'tug',
  required: true,
  title: 'Tug',
  how: `Pull straight to ${tugOf(minimumN)} N with a gauge and no further: it stays in service.`,
  targetN: tugOf(minimumN),
  minimumN,
});
