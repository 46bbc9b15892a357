import { cavityKind } from '../kind.ts';

export const tooShort = cavityKind({
  kind: 'tooShort',
  words: 'lead too short after a part moved',
  own: {
    shortByMm: {
      type: 'length',
      required: true,
      title: 'Too short by',
      unit: 'mm',
      wanted: 'Give the length that is missing, above 0 mm.',
    },
  },
  addsWire: true,
  detail: ({ shortByMm }) => `by ${shortByMm} mm`,
  ways: () => ['relead', 'extend'],
});
