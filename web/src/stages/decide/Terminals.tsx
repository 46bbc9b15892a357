import { useState } from 'react';
import clsx from 'clsx';
import type { RankedEnd, Way } from '@mendum/core/approach';
import type { FindingPlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { Button } from '../../ui/button.tsx';
import { useOpenJob } from '../job.ts';
import { Rules } from './Rules.tsx';
import { UseInstead } from './UseInstead.tsx';

const STATUS: Record<RankedEnd['status'], { readonly word: string; readonly colour: string }> = {
  allowed: { word: 'possible', colour: 'text-soft' },
  shelf: { word: '○ to be ordered', colour: 'text-rework' },
  refused: { word: '✕ refused', colour: 'text-scrap' },
};

const sealWords = ({ seal }: RankedEnd): string => {
  switch (seal?.kind) {
    case undefined:
      return '';
    case 'ownTube':
      return ', sealed by its own tube';
    case 'sleeve':
      return `, ${seal.name} cut ${figure(seal.cutMm, 0)} mm`;
    case 'wrap':
      return `, ${seal.name} ${figure(seal.lengthMm, 0)} mm`;
    case 'wireSeal':
      return `, ${seal.name}`;
  }
};

/** Shown before the refused ones are folded away. */
const SHOWN_AT_FIRST = 4;

/** Every terminal that was looked at for an end, in their order, with what the rules said. */
export function Terminals({ finding }: { readonly finding: FindingPlan }) {
  const [open, setOpen] = useState<string>();
  const [all, setAll] = useState(false);
  const [instead, setInstead] = useState<RankedEnd>();
  const { locked } = useOpenJob();
  const terminals = finding.cavity?.work.terminals ?? [];
  const taken = finding.cavity?.work.terminal;
  if (terminals.length === 0) return null;
  const shown = all ? terminals : terminals.filter(({ status }, at) => status !== 'refused' || at < SHOWN_AT_FIRST);
  return (
    <section aria-label="Every terminal, ranked">
      <h3 className="text-xl font-semibold">Terminals, ranked</h3>
      <ol className="mt-1 border-t border-ink">
        {shown.map((one) => {
          const isTaken = taken !== undefined && one.part?.id === taken.partId && one.attach === taken.attach;
          return (
            <li key={one.id} className="border-b border-rule py-1.5">
              <div className="grid items-center gap-x-4 sm:grid-cols-[210px_1fr_auto_auto]">
                <div>
                  <p className={clsx('font-semibold', one.status === 'refused' && 'text-soft')}>{one.name}</p>
                  <p className={clsx('font-semibold', isTaken ? 'text-pass' : STATUS[one.status].colour)}>
                    {isTaken ? '✓ taken' : STATUS[one.status].word}
                  </p>
                </div>
                <p className={clsx(one.status === 'refused' && 'text-soft')}>
                  {one.because}
                  {one.part ? (
                    <span className="block text-soft">
                      Strip <span className="figure">{figure(one.stripMm, 1)}</span> mm
                      {one.folded ? ', doubled over' : ''}
                      {sealWords(one)}.
                    </span>
                  ) : null}
                </p>
                {!locked && !isTaken && one.part && one.status !== 'refused' ? (
                  <Button look="quiet" aria-label={`Use ${one.name} instead`} onClick={() => setInstead(one)}>
                    Use instead
                  </Button>
                ) : (
                  <span />
                )}
                <Button
                  look="quiet"
                  aria-expanded={open === one.id}
                  aria-label={`Rules about ${one.name}`}
                  onClick={() => setOpen(open === one.id ? undefined : one.id)}
                >
                  Rules
                </Button>
              </div>
              {open === one.id ? <Rules hits={one.hits} findingId={finding.findingId} /> : null}
            </li>
          );
        })}
      </ol>
      {shown.length < terminals.length ? (
        <Button look="quiet" onClick={() => setAll(true)}>
          Show {terminals.length - shown.length} more that are refused
        </Button>
      ) : null}
      {instead ? (
        <UseInstead
          findingId={finding.findingId}
          use={finding.approach as Way}
          terminal={instead.id}
          name={instead.name}
          because={instead.because}
          onClose={() => setInstead(undefined)}
        />
      ) : null}
    </section>
  );
}
