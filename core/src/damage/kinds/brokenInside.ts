import { figure } from '../../units/index.ts';
import { runKind } from '../kind.ts';

/** A break inside whole insulation: its place is a stretch between two good readings, all of it lost. Source: choosing. */
export const brokenInside = runKind({
  kind: 'brokenInside',
  words: 'broken inside a whole jacket',
  own: {},
  leaves: 'nothing',
  whyCut: () => 'Broken inside a whole jacket: all between the two good readings is cut out.',
  readsAgain: ({ fromMm, toMm }, slackMm) =>
    toMm - fromMm > slackMm
      ? `Read once more between ${figure(fromMm, 0)} and ${figure(toMm, 0)} mm before anything is cut: the stretch of ${figure(toMm - fromMm, 0)} mm is longer than the slack of ${figure(slackMm, 0)}`
      : undefined,
});
