import { cavityKind } from '../kind.ts';

export const tooShort = cavityKind({
  kind: 'tooShort',
  words: 'lead too short',
  sorts: { moved: 'after a part was moved', turned: 'after a sensor was turned round' },
  own: {
    shortByMm: {
      type: 'length',
      required: true,
      title: 'Too short by',
      unit: 'mm',
      hint: 'Where a part was moved: how far it moved away.',
      wanted: 'Enter the length that is missing, above 0 mm.',
    },
  },
  addsWire: true,
  newRoute: true,
  detail: ({ shortByMm }) => `by ${shortByMm} mm`,
  ways: () => ['relead', 'extend', 'solderedLead'],
});
