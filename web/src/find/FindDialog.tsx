import { useDeferredValue, useMemo, useState, type KeyboardEvent } from 'react';
import clsx from 'clsx';
import { useNavigate } from 'react-router';
import { colourInWords, sizeInWords } from '@mendum/core';
import { useHarnessesQuery } from '../app/api.ts';
import { WireChip } from '../shapes/WireLine.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { buildFinder, type FoundCircuit } from './finder.ts';

const OPTION = 'find-option';

/** Finds any circuit of any machine while one types; arrow keys and Enter, or a tap. */
export function FindDialog({ onClose }: { readonly onClose: () => void }) {
  const { data: harnesses } = useHarnessesQuery();
  const navigate = useNavigate();
  const find = useMemo(() => buildFinder(harnesses ?? []), [harnesses]);
  const [words, setWords] = useState('');
  const [at, setAt] = useState(0);
  const shown = useDeferredValue(words);
  const found = useMemo(() => find(shown), [find, shown]);
  const go = (one: FoundCircuit | undefined): void => {
    if (!one) return;
    onClose();
    void navigate(`/machines/${encodeURIComponent(one.harnessId)}?circuit=${encodeURIComponent(one.circuit.id)}`);
  };
  const onKey = (event: KeyboardEvent): void => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step !== undefined && found.length > 0) {
      event.preventDefault();
      setAt((at + step + found.length) % found.length);
    } else if (event.key === 'Enter') go(found[at]);
  };
  return (
    <Dialog
      shape="wide"
      open
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
      title="Find a circuit"
      about="By number, function, colour, connector and cavity, size or machine."
    >
      <input
        type="search"
        autoFocus
        value={words}
        onChange={(event) => {
          setWords(event.target.value);
          setAt(0);
        }}
        onKeyDown={onKey}
        placeholder="work lamp, X31 4, white red"
        aria-label="What to find"
        role="combobox"
        aria-expanded={found.length > 0}
        aria-controls="find-list"
        aria-activedescendant={found[at] ? `${OPTION}-${at}` : undefined}
        className="min-h-14 w-full rounded-sm border border-ink bg-paper px-4 text-xl"
      />
      <ul id="find-list" role="listbox" aria-label="Circuits found" className="mt-3">
        {found.map((one, index) => (
          <li
            key={one.key}
            id={`${OPTION}-${index}`}
            role="option"
            aria-selected={index === at}
            onClick={() => go(one)}
            className={clsx(
              'grid min-h-14 cursor-pointer items-center gap-x-4 border-b border-rule border-l-4 px-3 py-1.5 sm:grid-cols-[3rem_1fr_1.2fr_1fr]',
              index === at ? 'border-l-copper bg-wash' : 'border-l-transparent hover:bg-wash',
            )}
          >
            <span className="figure text-xl font-semibold">{one.circuit.number}</span>
            <span className="text-lg font-semibold">{one.circuit.function}</span>
            <span className="flex items-center gap-3">
              <WireChip colour={one.circuit.wire.colour} title={colourInWords(one.circuit.wire.colour)} />
              {sizeInWords(one.circuit.wire.size)}, {one.from} → {one.to}
            </span>
            <span className="text-soft">
              {one.machine}, {one.harness}
            </span>
          </li>
        ))}
      </ul>
      {shown.trim() !== '' && found.length === 0 ? (
        <p className="mt-4 text-lg" role="status">
          No circuit matches “{shown}”. Try fewer words, or part of one.
        </p>
      ) : null}
    </Dialog>
  );
}
