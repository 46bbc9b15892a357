import { describe, expect, it } from 'vitest';
import { HABIT_IDS, HABITS, OUR_HABITS, practiceById, READY_PRACTICES, SCHOOLS } from './index.ts';

describe('ready practices', () => {
  it('are one for each school, with both sides of the argument and nothing switched off', () => {
    expect(READY_PRACTICES.map((practice) => practice.school)).toEqual([...SCHOOLS]);
    for (const practice of READY_PRACTICES) {
      expect(
        [practice.because.length > 30, practice.otherSide.length > 30, practice.off, practice.habits],
        practice.id,
      ).toEqual([true, true, [], OUR_HABITS]);
      expect(practiceById(practice.id)).toBe(practice);
    }
    expect(practiceById('nobody')).toBeUndefined();
  });
  it('take our side in every question of the hand: the first, with reasons on both', () => {
    expect(HABITS.map((habit) => habit.id)).toEqual([...HABIT_IDS]);
    for (const habit of HABITS) {
      expect(OUR_HABITS[habit.id], habit.question).toBe(habit.sides[0].id);
      expect(
        habit.sides.every((side) => side.because.length > 10),
        habit.question,
      ).toBe(true);
    }
  });
});
