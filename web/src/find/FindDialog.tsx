import clsx from 'clsx';
import { useState } from 'react';
import { Command } from 'cmdk';
import { useNavigate } from 'react-router';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { skipToken } from '@reduxjs/toolkit/query/react';
import type { FoundCircuit } from '@mendum/core/operations';
import { useFindQuery } from '../app/api.ts';
import { errorOf } from '../app/errors.ts';
import { WireChip } from '../shapes/WireLine.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { Working } from '../ui/empty.tsx';
import { ScanLabel } from './ScanLabel.tsx';
import { useSettled } from '../ui/useSettled.ts';

/** Finds any circuit of any machine while one types; arrow keys and Enter, or a tap. */
export function FindDialog({ onClose }: { readonly onClose: () => void }) {
  const navigate = useNavigate();
  const [words, setWords] = useState('');
  const shown = useSettled(words.trim());
  const { data, currentData, error, isFetching } = useFindQuery(shown === '' ? skipToken : { words: shown });
  const found = shown === '' ? [] : (data ?? []);
  const go = (one: FoundCircuit): void => {
    onClose();
    void navigate(`/machines/${encodeURIComponent(one.harnessId)}?circuit=${encodeURIComponent(one.circuit.id)}`);
  };
  return (
    <Dialog
      shape="wide"
      open
      onClose={onClose}
      title="Find a circuit"
      about="By number, function, colour, connector and cavity, size or machine."
    >
      <ScanLabel
        onFound={(recordId) => {
          onClose();
          void navigate(`/r/${encodeURIComponent(recordId)}`);
        }}
      />
      <Command shouldFilter={false} label="What to find" loop>
        <Command.Input
          autoFocus
          value={words}
          onValueChange={setWords}
          placeholder="work lamp, X31 4, white red"
          className="min-h-14 w-full rounded-sm border border-ink bg-paper px-4 text-xl"
        />
        <Command.List aria-label="Circuits found" className="mt-3">
          {found.map((one) => (
            <Command.Item
              key={`${one.harnessId} ${one.circuit.id}`}
              value={`${one.harnessId} ${one.circuit.id}`}
              onSelect={() => go(one)}
              className={clsx(
                'grid min-h-14 cursor-pointer items-center gap-x-4 border-b border-l-4 border-rule',
                'border-l-transparent px-3 py-1.5 data-[selected=true]:border-l-copper',
                'data-[selected=true]:bg-wash sm:grid-cols-[3rem_1fr_1.2fr_1fr]',
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
            </Command.Item>
          ))}
        </Command.List>
      </Command>
      {isFetching && !data ? <Working words="Looking…" /> : null}
      {error ? (
        <p className="mt-4 text-lg text-scrap" role="alert">
          {errorOf(error).message}
        </p>
      ) : null}
      {shown !== '' && currentData?.length === 0 ? (
        <p className="mt-4 text-lg" role="status">
          No circuit matches “{shown}”. Try fewer words, or part of one.
        </p>
      ) : null}
    </Dialog>
  );
}
