import { figure } from '../../units/index.ts';
import { JACKETS } from '../../wire/index.ts';
import { runKind } from '../kind.ts';

/** A jacket within this of its rating is proposed one class up, K. Source: choosing, cooked. */
const NEAR_RATING_K = 15;

export const cooked = runKind({
  kind: 'cooked',
  words: 'wire cooked stiff',
  own: {},
  leaves: 'nothing',
  warnings: ({ note }, { wire, placeC }) => {
    const { ratedC, name } = JACKETS[wire.jacket.material];
    const near = placeC >= ratedC - NEAR_RATING_K;
    return [
      ...(note === undefined ? ['Something cooked this wire: find the cause, or it comes back.'] : []),
      ...(near
        ? [`Its jacket, ${name}, is rated ${ratedC} °C and the place reaches ${figure(placeC, 0)}: take one class up.`]
        : []),
    ];
  },
  asks: () => 'What cooked it? Find the cause and note it in the finding',
});
