import clsx from 'clsx';
import { colourInWords, rangeInWords, wireInWords, type Part } from '@mendum/core';
import { useShelfQuery } from '../app/api.ts';
import { errorOf } from '../app/change.ts';
import { WireChip } from '../draw/WireLine.tsx';
import { Failed, Working } from '../ui/empty.tsx';
import { Figure, Length } from '../ui/units.tsx';
import { Place } from './Place.tsx';

function fits(part: Part): string {
  switch (part.kind) {
    case 'sealedButt': case 'plainButt': case 'piercingTap': return `${rangeInWords(part.range)} an end`;
    case 'clip': return `${rangeInWords(part.totalRange)} in all`;
    case 'sleeve': return `passes ${part.suppliedIdMm}, shrinks to ${part.recoveredIdMm} mm`;
    case 'tape': return `${part.widthMm} mm wide`;
    case 'solder': return part.core === 'acid' ? 'acid core: refused' : 'rosin core';
    default: return '';
  }
}

const GROUPS: readonly { readonly title: string; readonly kinds: readonly Part['kind'][] }[] = [
  { title: 'Barrels and clips', kinds: ['sealedButt', 'plainButt', 'clip', 'piercingTap'] }, { title: 'Sleeves, tape and solder', kinds: ['sleeve', 'tape', 'solder'] },
];

/** What is really there: parts with what they fit, tools, wire on hand. */
export function ShelfPlace() {
  const { data: shelf, error, refetch } = useShelfQuery();
  const failed = error && errorOf(error);
  return (
    <Place title="Shelf" about={shelf ? `${shelf.name}. Plans use what is here; what is missing is named with what to order.` : 'What is really there.'}>
      {failed ? <Failed message={failed.message} hint={failed.hint} onRetry={() => void refetch()} /> : !shelf ? <Working words="Fetching the shelf…" /> : (
        <div className="grid items-start gap-x-10 gap-y-8 xl:grid-cols-2">
          {GROUPS.map((group) => (
            <section key={group.title}>
              <h2 className="border-b border-ink pb-1 text-xl font-semibold">{group.title}</h2>
              <table className="w-full text-left">
                <tbody>
                  {shelf.parts.filter((part) => group.kinds.includes(part.kind)).map((part) => (
                    <tr key={part.id} className={clsx('border-b border-rule', part.quantity === 0 && 'text-soft')}>
                      <td className="py-1.5 pr-3">{part.name}</td><td className="pr-3">{fits(part)}</td><td className="pr-3 whitespace-nowrap">{part.ratedC} °C</td>
                      <td className="text-right whitespace-nowrap">{part.quantity === 0 ? 'none' : <Figure value={String(part.quantity)} />}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              <p className="mt-2 text-soft">Ranges are the usual ones for their kind; what is stamped on a part wins.</p>
            </section>
          ))}
          <section>
            <h2 className="border-b border-ink pb-1 text-xl font-semibold">Tools</h2>
            <ul>{shelf.tools.map((tool) => <li key={tool.id} className="border-b border-rule py-1.5">{tool.name}<span className="ml-3 text-soft">{tool.ratchet ? (tool.calibratedUntil === undefined ? 'ratchet, never calibrated' : `ratchet, calibrated until ${tool.calibratedUntil}`) : ''}</span></li>)}</ul>
          </section>
          <section>
            <h2 className="border-b border-ink pb-1 text-xl font-semibold">Wire on hand</h2>
            <ul>{shelf.wires.map((stock) => <li key={stock.id} className="flex items-center gap-3 border-b border-rule py-1.5"><WireChip colour={stock.wire.colour} title={colourInWords(stock.wire.colour)} /><span>{wireInWords(stock.wire)}, {colourInWords(stock.wire.colour)}</span><span className="ml-auto"><Length mm={stock.lengthMm} digits={0} /></span></li>)}</ul>
          </section>
        </div>
      )}
    </Place>
  );
}
