import type { Ask } from '@mendum/core/approach';
import { AnswerLink } from '../AnswerLink.tsx';

const DOES: Readonly<Record<Ask['does'], string>> = {
  order: 'Order',
  measure: 'Measure',
  note: 'Note',
  decide: 'Decide',
};

/** Whether its words begin with what is to be done. */
const saysSo = ({ does, words }: Ask): boolean =>
  words.replace(/^Or (.)/, (_, first: string) => first.toUpperCase()).startsWith(DOES[does]);

/** What a person has to do before this circuit is mended, each with the field that answers it. */
export function Asks({ asks }: { readonly asks: readonly Ask[] }) {
  if (asks.length === 0) return null;
  return (
    <section aria-label="What it needs from you" className="mt-3 border-l-4 border-rework pl-3 text-lg">
      <p className="font-semibold text-rework">▲ Needs you</p>
      <ul>
        {asks.map((ask) => (
          <li key={ask.words} className="flex flex-wrap items-baseline gap-x-4">
            <span className="max-w-[70ch]">
              {saysSo(ask) ? null : <b>{DOES[ask.does]}: </b>}
              {ask.words}
            </span>
            <AnswerLink at={ask.at} />
          </li>
        ))}
      </ul>
    </section>
  );
}
