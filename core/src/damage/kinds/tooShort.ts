import { cavityKind } from '../kind.ts';

export const tooShort = cavityKind({
  kind: 'tooShort',
  words: 'lead too short after a part moved',
  own: {
    shortByMm: {
      type: 'length',
      required: true,
      title: 'It lacks',
      unit: 'mm',
      wanted: 'Give what it lacks, above 0 mm.',
    },
  },
  addsWire: true,
  detail: ({ shortByMm }) => `by ${shortByMm} mm`,
  ways: () => ['relead', 'extend'],
});
