import { CAUSES } from './cause.ts';
import type { Own, OwnField, OwnFields } from './own.ts';

/**
 * What any finding may have noted beside its figures. A line here is all that a field takes which is only stored and
 * shown: its type, the form, the list, files, and what the server takes all follow from it.
 */
export const NOTED = {
  temporaryUntil: {
    type: 'date',
    required: false,
    title: 'Temporary until',
    hint: 'Leave empty for a permanent repair. A temporary one comes back on its day.',
    wanted: 'Give the day like 2030-05-31, or leave it empty.',
  },
  cause: {
    type: 'choice',
    required: false,
    title: 'What did it',
    hint: 'A repair fails again where the cause stays.',
    wanted: 'Pick one of the causes, or leave it open.',
    options: CAUSES,
  },
  reportedAs: {
    type: 'text',
    required: false,
    title: 'Reported as',
    hint: 'What the operator said: “the left work lamp goes out on rough ground”.',
    wanted: 'Write at most 200 letters.',
  },
  note: {
    type: 'longText',
    required: false,
    title: 'Note',
    wanted: 'Write at most 2,000 letters.',
  },
} as const satisfies OwnFields;

/** What a finding has noted. `temporaryUntil` is the day by which it comes back; absent for a permanent repair. */
export type Noted = Own<typeof NOTED>;
export type NotedName = keyof typeof NOTED;
export const NOTED_NAMES = Object.keys(NOTED) as readonly NotedName[];

/** What was noted, each with its title, as people read it. */
export const notedInWords = (finding: Noted): readonly { readonly name: NotedName; readonly words: string }[] =>
  NOTED_NAMES.flatMap((name) => {
    const value = finding[name];
    if (value === undefined) return [];
    const { title, options }: OwnField = NOTED[name];
    return [{ name, words: `${title}: ${options?.[value] ?? value}` }];
  });
