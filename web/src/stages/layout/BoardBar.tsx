import { FileDown, Printer, Redo2, Search, Undo2 } from 'lucide-react';
import { TEMPLATE_MOST_MM } from '@mendum/core/operations';
import { Button } from '../../ui/button.tsx';
import type { LiveBoard } from './useBoard.ts';

interface BoardBarProps {
  readonly live: LiveBoard;
  readonly pinned: number;
  readonly isSearching: boolean;
  readonly onSearch: () => void;
  readonly template: string;
  /** Length of the run, mm. */
  readonly wholeMm: number;
  readonly readOnly: boolean;
}

const LINK =
  'inline-flex min-h-11 items-center gap-2 rounded-sm px-3 text-lg underline decoration-rule underline-offset-4 hover:bg-wash';

/** What can be done with the layout as a whole. */
export function BoardBar({ live, pinned, isSearching, onSearch, template, wholeMm, readOnly }: BoardBarProps) {
  return (
    <div className="no-print flex flex-wrap items-center gap-2" role="group" aria-label="Layout">
      {readOnly ? null : (
        <>
          <Button aria-label="Undo" disabled={!live.undo} onClick={live.undo}>
            <Undo2 aria-hidden size={20} />
          </Button>
          <Button aria-label="Redo" disabled={!live.redo} onClick={live.redo}>
            <Redo2 aria-hidden size={20} />
          </Button>
          {isSearching ? null : (
            <Button onClick={onSearch}>
              <Search aria-hidden size={20} />
              {pinned > 0 ? `Solve again around ${pinned === 1 ? 'my pin' : `my ${pinned} pins`}` : 'Solve again'}
            </Button>
          )}
          {pinned > 0 && !isSearching ? (
            <Button look="quiet" onClick={() => live.save({ ...live.wishes, pins: [] })}>
              Remove all pins
            </Button>
          ) : null}
        </>
      )}
      <span className="ml-auto flex flex-wrap">
        <a className={LINK} href={`${template}.pdf`} target="_blank" rel="noreferrer">
          <Printer aria-hidden size={20} />
          Template, true size
        </a>
        {wholeMm <= TEMPLATE_MOST_MM && (
          <a className={LINK} href={`${template}.pdf?fromMm=0&toMm=${wholeMm}`} target="_blank" rel="noreferrer">
            of the whole run
          </a>
        )}
        <a className={LINK} href={`${template}.svg`} download>
          <FileDown aria-hidden size={20} />
          SVG
        </a>
      </span>
    </div>
  );
}
