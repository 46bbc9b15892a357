import clsx from 'clsx';
import { Link } from 'react-router';
import type { Kit, KitLine } from '@mendum/core/kit';
import { Button } from '../../ui/button.tsx';
import { Figure, useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';
import { CutLists } from './CutLists.tsx';

const STATE: Record<KitLine['state'], { readonly word: string; readonly colour: string }> = {
  have: { word: '✓ have', colour: 'text-pass' },
  short: { word: '▲ short', colour: 'text-rework' },
  instead: { word: '◆ instead', colour: 'text-copper' },
};

/** Whether everything is there, and whether everything is counted. */
function standingOfKit({ ready, counted, lines, unanswered }: Kit): string {
  if (ready) return 'Everything is there';
  if (!counted) return 'What it takes';
  if (lines.some(({ state }) => state === 'short')) return 'Something is short';
  return `${unanswered.length === 1 ? 'One circuit has' : `${unanswered.length} circuits have`} no answer yet`;
}

/** Kit, cut list and tools for the whole job, held against the shelf; and the cautions before anything is cut. */
export function KitList({ onBegin, begun }: { readonly onBegin: () => void; readonly begun: boolean }) {
  const { plan, view, pathTo } = useOpenJob();
  const { plain, unit } = useLength();
  const { kit, cautions } = plan;
  const amount = (line: KitLine, value: number): string => (line.unit === 'mm' ? plain(value, 0) : String(value));
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_380px]">
      <section aria-label="Kit">
        <div className="mb-3 flex flex-wrap items-end gap-x-6 gap-y-3">
          <div className="min-w-0 flex-1 max-sm:basis-full">
            <h2 className="text-[1.75rem] font-semibold">{standingOfKit(kit)}</h2>
            {kit.counted ? (
              <p className="text-lg text-soft">For the whole job, against {view.catalogue.name}.</p>
            ) : (
              <p className="text-lg text-rework">
                ▲ Nobody has counted the shelf: look whether it is there.{' '}
                <Link to="/shelf" className="underline underline-offset-4">
                  Count it
                </Link>
              </p>
            )}
            {kit.unanswered.length === 0 ? null : (
              <p className="text-lg text-rework">
                ▲ No answer yet: circuit {kit.unanswered.join(', ')}.{' '}
                <Link to={pathTo('decide')} className="underline underline-offset-4">
                  Decide what is done about {kit.unanswered.length === 1 ? 'it' : 'them'}
                </Link>
              </p>
            )}
          </div>
          <Button look="copper" size="large" className="no-print" onClick={onBegin}>
            {begun ? 'Go on with the work' : 'Begin the first splice'}
          </Button>
        </div>
        <table className="w-full text-left text-lg">
          <thead className="border-b border-ink text-base text-soft">
            <tr>
              <th className="pb-1 font-normal">Part</th>
              <th className="text-right font-normal">Need</th>
              {kit.counted ? (
                <>
                  <th className="text-right font-normal">Have</th>
                  <th className="pl-5 font-normal">Shelf</th>
                </>
              ) : null}
            </tr>
          </thead>
          <tbody>
            {kit.lines.map((line) => (
              <tr key={line.id} className="border-b border-rule">
                <td className="py-2 pr-3">
                  {line.name}
                  {line.note === '' || !kit.counted ? null : (
                    <span className="block text-base text-soft">{line.note}</span>
                  )}
                </td>
                <td className="text-right">
                  <Figure
                    value={amount(line, line.need)}
                    unit={line.unit === 'mm' ? unit : line.need === 1 ? line.unit : `${line.unit}s`}
                  />
                </td>
                {kit.counted ? (
                  <>
                    <td className="pl-4 text-right">
                      <Figure value={amount(line, line.have)} />
                    </td>
                    <td className={clsx('pl-5 font-semibold whitespace-nowrap', STATE[line.state].colour)}>
                      {STATE[line.state].word}
                    </td>
                  </>
                ) : null}
              </tr>
            ))}
          </tbody>
        </table>
        <Button className="no-print mt-5" onClick={() => window.print()}>
          Print kit and cut list
        </Button>
      </section>
      <aside className="grid content-start gap-6">
        <CutLists kit={kit} />
        <section aria-label="Tools">
          <h3 className="border-b border-ink pb-1 text-xl font-semibold">Tools</h3>
          <ul>
            {kit.tools.map((tool) => (
              <li key={tool} className="border-b border-rule py-2">
                {tool}
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="Cautions" className="border-l-4 border-rework pl-4">
          <h3 className="text-xl font-semibold">Before you cut</h3>
          <ul className="mt-1 grid gap-1">
            {cautions.map((caution) => (
              <li key={caution.id}>{caution.text}</li>
            ))}
          </ul>
        </section>
      </aside>
    </div>
  );
}
