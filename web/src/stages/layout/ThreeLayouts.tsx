import { openedParts, EVEN_APART_MM, type Level } from '@mendum/core/layout';
import { isOffered, type LayoutOffer, type LayoutsToChoose, type NoOffer } from '@mendum/core/plan';
import clsx from 'clsx';
import { LoaderCircle } from 'lucide-react';
import { useState } from 'react';
import { Choices } from '../../ui/choices.tsx';
import { Figure, useLength } from '../../ui/units.tsx';
import { DistanceCurve } from './DistanceCurve.tsx';
import { useSearches } from '../searches/searches.ts';
import { KIND_NAMES } from './kindNames.ts';
import { SearchLine } from './SearchLine.tsx';
import { SmallLayout } from './SmallLayout.tsx';
import type { LiveBoard } from './useBoard.ts';

const SAYS = {
  wide: 'as far apart as makers print',
  even: 'one over a place, least bench time',
  short: 'opens the least, two may lie together',
} as const;
/** What a layout is proven for, up to the first level that is not. */
const UP_TO: Partial<Record<Level, string>> = {
  over: 'that no fewer lie together',
  pairs: 'that no fewer lie together',
  splices: 'splices',
  clearMm: 'distance',
  peakMm: 'thickness',
  openedMm: 'opened length',
  insertedMm: 'new wire',
  near: 'room at connectors',
};
/** Room beside what is opened in the small drawings, mm. */
const BESIDE_MM = 40;

/** What is proven of a layout; or that it is being searched. */
function Proven({ open, isToCome }: { readonly open: Level | undefined; readonly isToCome: boolean }) {
  return isToCome ? (
    <span role="status">
      <LoaderCircle aria-hidden size={16} className="inline motion-safe:animate-spin" /> Still being bettered
    </span>
  ) : open === undefined ? (
    <span>
      <span aria-hidden className="text-pass">
        ●{' '}
      </span>
      Proven best
    </span>
  ) : (
    <span>
      <span aria-hidden className="text-rework">
        ▲{' '}
      </span>
      {open === 'barred' ? 'Not searched' : `Not proven: ${UP_TO[open] ?? open}`}
    </span>
  );
}

interface FiguresProps {
  readonly offer: LayoutOffer;
  readonly isKept: boolean;
  readonly isToCome: boolean;
}

function Figures({ offer, isKept, isToCome }: FiguresProps) {
  const { plain, unit } = useLength();
  const { objective, open } = offer.reached;
  return (
    <span className="grid gap-x-3">
      <span className="text-xl">
        opens <Figure value={plain(offer.openedMm, 0)} unit={unit} /> ·{' '}
        <Figure value={String(Math.round(offer.minutes))} /> min
      </span>
      <span className="text-soft">
        {offer.splices} {offer.splices === 1 ? 'splice' : 'splices'}
        {offer.insertedMm === undefined ? null : (
          <>
            , <Figure value={plain(offer.insertedMm, 0)} unit={unit} /> new wire
          </>
        )}
      </span>
      <span className="text-soft">
        Ø <Figure value={plain(offer.peakMm)} unit={unit} />
        {offer.conduitMm === undefined ? ', no conduit is wide enough' : `, conduit ${offer.conduitMm}`}
        {offer.splices < 2 ? null : objective.over > 1 ? (
          ', two together'
        ) : (
          <>
            , <Figure value={plain(objective.clearMm, 0)} unit={unit} /> apart
          </>
        )}
      </span>
      <span className="text-soft">{isKept ? 'As you left it' : <Proven open={open} isToCome={isToCome} />}</span>
    </span>
  );
}

interface ThreeLayoutsProps {
  readonly runId: string;
  readonly layouts: LayoutsToChoose;
  readonly live: LiveBoard;
  readonly betweenBodiesMm: number;
  readonly readOnly: boolean;
}

/** Wide, Even and Short side by side, drawn to one scale with what each takes; a tap takes one. */
export function ThreeLayouts({ runId, layouts, live, betweenBodiesMm, readOnly }: ThreeLayoutsProps) {
  const [isOpen, setIsOpen] = useState(false);
  const { isToCome } = useSearches();
  const { plain, unit } = useLength();
  const { offers, lost, chosen, by, proposed, because, isKept } = layouts;
  const stretches = [...offers.flatMap((offer) => (isOffered(offer) && offer.opened ? [offer.opened] : [])), ...lost];
  if (stretches.length === 0) return null;
  const view = {
    fromMm: Math.max(0, Math.min(...stretches.map(({ fromMm }) => fromMm)) - BESIDE_MM),
    toMm: Math.max(...stretches.map(({ toMm }) => toMm)) + BESIDE_MM,
  };
  const wanted = live.wishes.chosen?.find((one) => one.runId === runId)?.kind;
  const refused = offers.find((offer): offer is NoOffer => offer.kind === wanted && !isOffered(offer));
  const shown = (offer: LayoutOffer | NoOffer) => {
    const isTaken = offer.kind === chosen.kind;
    return (
      <span className="grid h-full content-start gap-1">
        <span className="flex flex-wrap items-baseline gap-x-2">
          <b className="text-xl">{KIND_NAMES[offer.kind]}</b>
          {offer.kind === 'even' && offer.apartMm !== undefined && offer.apartMm !== EVEN_APART_MM ? (
            <span>
              <Figure value={plain(offer.apartMm, 0)} unit={unit} /> apart
            </span>
          ) : (
            <span className="text-soft">{SAYS[offer.kind]}</span>
          )}
        </span>
        {isOffered(offer) ? (
          <>
            <SmallLayout
              view={view}
              opened={openedParts([...offer.bodies, ...lost])}
              lost={lost}
              bodies={offer.bodies}
            />
            <Figures offer={offer} isKept={isTaken && isKept} isToCome={isToCome(runId, offer.kind)} />
          </>
        ) : (
          <span className="text-soft">{isToCome(runId, offer.kind) ? 'Being searched…' : offer.why}</span>
        )}
        <span className="font-semibold">
          {[
            isTaken ? (by === 'practice' ? 'Taken by your practice' : 'Taken') : '',
            offer.kind === proposed ? 'Proposed' : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </span>
    );
  };
  return (
    <section aria-label="Layouts to choose from" className="grid gap-2">
      <Choices
        label="Layout"
        picked={chosen.kind}
        disabled={readOnly}
        onPick={(kind) => {
          const offer = offers.find((one) => one.kind === kind);
          if (offer && isOffered(offer)) live.take({ kind: offer.kind, apartMm: offer.apartMm });
        }}
        className="grid gap-2 md:grid-cols-3"
        look={(isPicked) =>
          clsx(
            'rounded-sm border-2 px-3 py-2 text-left text-base',
            isPicked ? 'border-copper bg-wash' : 'border-rule hover:bg-wash',
          )
        }
        choices={offers.map((offer) => ({ value: offer.kind, shown: () => shown(offer) }))}
      />
      <SearchLine runId={runId} />
      <p className="text-soft">
        {refused ? `${KIND_NAMES[refused.kind]}, which was taken, is not possible now. ` : ''}
        {because}{' '}
        <button
          type="button"
          aria-expanded={isOpen}
          onClick={() => setIsOpen(!isOpen)}
          className="min-h-11 underline decoration-rule underline-offset-4"
        >
          {isOpen ? 'Close the distances' : 'What another distance costs'}
        </button>
      </p>
      {isOpen && live.board?.runId === runId ? (
        <DistanceCurve
          run={live.board.run}
          mostMm={betweenBodiesMm}
          takenMm={chosen.kind === 'even' ? (chosen.apartMm ?? EVEN_APART_MM) : undefined}
          onTake={readOnly ? undefined : (apartMm) => live.take({ kind: 'even', apartMm })}
        />
      ) : null}
    </section>
  );
}
