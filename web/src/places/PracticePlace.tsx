import { PREFERENCES, READY_PRACTICES, RULES, type Rule } from '@mendum/core';
import { Place } from './Place.tsx';

const VERDICT: Record<Rule['verdict'], string> = { refuse: '✕ refuses', shelf: '○ not on the shelf', warn: '▲ warns', require: '● requires' };
const COLOUR: Record<Rule['verdict'], string> = { refuse: 'text-scrap', shelf: 'text-rework', warn: 'text-rework', require: 'text-ink' };

const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;

/** The three ready practices with both schools' reasons, and every rule the engine obeys, read from the engine itself. */
export function PracticePlace() {
  return (
    <Place title="Practice" about="Where good technicians disagree, and the rules that every plan obeys. The practice of a job is chosen in Decide.">
      <div className="grid gap-8 lg:grid-cols-3">
        {READY_PRACTICES.map((practice, index) => (
          <section key={practice.id} className="border-t-4 border-copper pt-3">
            <h2 className="text-2xl font-semibold">{practice.name}{index === 0 ? <span className="ml-2 text-base font-normal text-soft">ours by default</span> : null}</h2>
            <p className="mt-1 text-lg">{practice.because}</p>
            <p className="mt-2 text-soft"><b>The other side:</b> {practice.otherSide}</p>
          </section>
        ))}
      </div>
      <section className="mt-10">
        <h2 className="text-2xl font-semibold">Rules that bar, warn or require</h2>
        <ul className="mt-2 border-t border-ink">
          {RULES.map((rule) => (
            <li key={rule.id} className="grid gap-x-5 border-b border-rule py-2 sm:grid-cols-[150px_170px_1fr]">
              <span className={`font-semibold ${COLOUR[rule.verdict]}`}>{VERDICT[rule.verdict]}</span><span className="font-semibold">{rule.subject}</span>
              <span>{sentence(rule.source)}.{rule.allowedIf === undefined ? '' : ` Allowed if ${rule.allowedIf}.`} <span className="text-soft">{rule.verdict === 'refuse' && !rule.overridable ? 'Nobody can override it. ' : ''}Rule {rule.id}.</span></span>
            </li>
          ))}
        </ul>
      </section>
      <section className="mt-10">
        <h2 className="text-2xl font-semibold">How the allowed are ordered</h2>
        <p className="text-soft">The first of these on which two methods differ decides between them.</p>
        <ol className="mt-2 border-t border-ink">
          {PREFERENCES.map((preference, index) => <li key={preference.id} className="grid gap-x-5 border-b border-rule py-2 sm:grid-cols-[40px_170px_1fr]"><span className="figure text-soft">{index + 1}</span><span className="font-semibold">{preference.subject}</span><span>{sentence(preference.source)}. <span className="text-soft">Rule {preference.id}.</span></span></li>)}
        </ol>
      </section>
    </Place>
  );
}
