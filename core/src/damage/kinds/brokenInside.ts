import { figure } from '../../units/index.ts';
import { runKind } from '../kind.ts';

/**
 * A break inside whole insulation: its place is a stretch between two good readings, all of it lost. Source: choosing.
 */
export const brokenInside = runKind({
  kind: 'brokenInside',
  words: 'broken inside a whole jacket',
  own: {},
  leaves: 'nothing',
  whyCut: () => 'Broken inside a whole jacket: all between the two good readings is cut out.',
  readsAgain: ({ fromMm, toMm, note }, slackMm) => {
    // Once somebody has noted why it cannot be narrowed, it is cut as it is.
    if (note !== undefined || toMm - fromMm <= (slackMm ?? 0)) return undefined;
    const slack = slackMm === undefined ? 'and no slack is measured' : `and slack is ${figure(slackMm, 0)}`;
    return `Read once more between ${figure(fromMm, 0)} and ${figure(toMm, 0)} mm before anything is cut: the stretch is ${figure(toMm - fromMm, 0)} mm ${slack}. Or note why it cannot be narrowed`;
  },
});
