import { TOOL_TASKS, type Catalogue, type Tool } from '@mendum/core/catalogue';
import type { WireStock } from '@mendum/core/stock';
import { colourInWords, wireInWords } from '@mendum/core/wire';
import { WireChip } from '../../shapes/WireLine.tsx';
import { Empty } from '../../ui/empty.tsx';
import { Length } from '../../ui/units.tsx';

interface ListProps<T> {
  readonly shelf: Catalogue;
  /** It is only read. */
  readonly locked: boolean;
  readonly onOpen: (item: T) => void;
}

export function Tools({ shelf, locked, onOpen }: ListProps<Tool>) {
  return (
    <ul className="border-t border-ink">
      {shelf.tools.map((tool) => (
        <li
          key={tool.id}
          className="grid gap-x-4 border-b border-rule py-1 sm:grid-cols-[minmax(0,4fr)_minmax(0,4fr)_minmax(0,3fr)] sm:items-center"
        >
          <button
            type="button"
            disabled={locked}
            className="min-h-11 text-left underline-offset-4 enabled:underline enabled:decoration-rule enabled:hover:bg-wash"
            onClick={() => onOpen(tool)}
          >
            {tool.name}
          </button>
          <span>
            {tool.tasks.map((task) => TOOL_TASKS[task].does).join(', ')}
            {tool.range ? `, ${tool.range.minMm2}–${tool.range.maxMm2} mm²` : ''}
          </span>
          <span className="text-soft">
            {tool.ratchet
              ? tool.calibratedUntil === undefined
                ? 'ratchet, never calibrated'
                : `ratchet, calibrated until ${tool.calibratedUntil}`
              : 'no ratchet'}
          </span>
        </li>
      ))}
    </ul>
  );
}

export function Wire({ shelf, locked, onOpen }: ListProps<WireStock>) {
  if (shelf.wires.length === 0)
    return (
      <Empty title="No wire on hand">
        Add reels and lengths out of scrap harnesses: inserts and leads are chosen from them.
      </Empty>
    );
  return (
    <ul className="border-t border-ink">
      {shelf.wires.map((stock) => (
        <li key={stock.id} className="flex items-center gap-3 border-b border-rule">
          <WireChip colour={stock.wire.colour} title={colourInWords(stock.wire.colour)} />
          <button
            type="button"
            disabled={locked}
            className="min-h-11 flex-1 text-left underline-offset-4 enabled:underline enabled:decoration-rule enabled:hover:bg-wash"
            onClick={() => onOpen(stock)}
          >
            {wireInWords(stock.wire)}, {colourInWords(stock.wire.colour)}
          </button>
          <Length mm={stock.lengthMm} digits={0} />
        </li>
      ))}
    </ul>
  );
}
