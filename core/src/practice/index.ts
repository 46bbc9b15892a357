export type { LayoutKind, Practice, PracticeFigures, School, SigningRules } from './practice.ts';
export {
  CRIMP_FIRST,
  CRIMP_ONLY,
  BENCH_SOLDER,
  READY_PRACTICES,
  DEFAULT_FIGURES,
  LAYOUT_KINDS,
  SCHOOLS,
  practiceById,
} from './practice.ts';
export { HABIT_IDS, HABITS, measuresEvery, OUR_HABITS } from './habits.ts';
export type { Habit, HabitId, Habits, HabitSide } from './habits.ts';
