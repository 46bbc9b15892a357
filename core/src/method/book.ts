import { RULES, isSwitchable } from './rank.ts';
import { PREFERENCES } from './rules/preference.ts';
import { REASONS, type Reason } from './rules/reasons.ts';
import type { Source } from './source.ts';
import type { Verdict } from './types.ts';

/**
 * A rule as it stands in the book that a shop reads: what it does, why, what is said against it, and whether it may be
 * switched off.
 */
export interface BookEntry extends Reason {
  readonly id: string;
  readonly subject: string;
  readonly verdict: Verdict;
  readonly source: Source;
  readonly switchable: boolean;
  readonly allowedIf?: string | undefined;
}

const NONE: Reason = { title: '', because: '', otherSide: '' };

/** Sizing and room refuse by themselves; no practice lifts them. */
const FIXED: readonly Pick<BookEntry, 'id' | 'subject' | 'source'>[] = [
  {
    id: 'size.noPartHolds',
    subject: 'size',
    source: 'stamped on the part, else usual: copper range, 2 % at both limits',
  },
  { id: 'size.tooManyWires', subject: 'size', source: 'trade practice' },
  { id: 'sleeve.none', subject: 'sleeve', source: 'practice figure: how a sleeve slides and grips' },
  { id: 'tap.cannotRejoin', subject: 'circuit to be added', source: 'trade practice' },
  { id: 'place.noRoom', subject: 'room', source: 'geometry of the harness; practice figure: distances kept clear' },
];

/** Every rule about methods, refusals first, then warnings and what is required, then the order of preference. */
export const methodBook = (): BookEntry[] => [
  ...FIXED.map((rule): BookEntry => ({ ...(REASONS[rule.id] ?? NONE), ...rule, verdict: 'refuse', switchable: false })),
  ...RULES.map((rule): BookEntry => ({
    ...(REASONS[rule.id] ?? NONE),
    id: rule.id,
    subject: rule.subject,
    verdict: rule.verdict,
    source: rule.source,
    switchable: isSwitchable(rule),
    allowedIf: rule.allowedIf,
  })),
  ...PREFERENCES.map((rule): BookEntry => ({
    ...(REASONS[rule.id] ?? NONE),
    id: rule.id,
    subject: rule.subject,
    verdict: 'prefer',
    source: rule.source,
    switchable: rule.id !== 'prefer.fewestSplices',
  })),
];

/** Ids that a practice may switch off. */
export const switchableRuleIds = (): string[] =>
  methodBook()
    .filter((entry) => entry.switchable)
    .map((entry) => entry.id);
