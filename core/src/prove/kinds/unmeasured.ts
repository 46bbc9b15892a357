import { readingKind, type CheckBase } from '../kind.ts';

/** A reason why nothing was measured; it lets a joint pass as looked at, and is said wherever the joint is. */
export const unmeasured = readingKind({
  kind: 'unmeasured',
  fields: { because: { type: 'word' } },
  rule: (_check: CheckBase, { because }) => ({
    verdict: 'looked',
    watch: false,
    cause: `Looked at, not measured: ${because}.`,
    next: '',
  }),
  words: ({ because }) => because,
});

/** Why no reading was taken, in the name of whoever says so. */
export const UNMEASURED_CHECK: CheckBase & { readonly kind: 'unmeasured' } = {
  id: 'unmeasured',
  kind: 'unmeasured',
  required: false,
  title: 'Not measured',
  how: 'Why not. It then stands as looked at, not measured, here, on the sheet and in the record.',
};
