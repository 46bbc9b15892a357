import type { Cut, CutGroup, Kit } from '@mendum/core/kit';
import { NO_WISHES } from '@mendum/core/layout';
import { useSave } from '../../app/change.ts';
import { Button } from '../../ui/button.tsx';
import { Figure, useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';

/** What a cut is for: the circuit, for wire; nothing for sleeves, which are all alike. */
const labelOf = (pieceId: string): string => (pieceId.startsWith('circuit ') ? pieceId.slice('circuit '.length) : '');

/** One stick or reel to scale, with its cuts. Of a long reel only what is used is drawn, and a torn end. */
function CutBar({ cut, from }: { readonly cut: Cut; readonly from: CutGroup['from'] }) {
  const { plain, unit } = useLength();
  const used = cut.pieces.reduce((sum, piece) => sum + piece.mm, 0);
  const shown = from === 'stick' ? cut.lengthMm : Math.min(cut.lengthMm, used * 1.25 + 1);
  return (
    <div className="py-1">
      <div
        className="flex h-7 w-full border border-ink"
        aria-hidden
        style={from === 'reel' && shown < cut.lengthMm ? { borderRightStyle: 'dashed' } : undefined}
      >
        {cut.pieces.map((piece) => (
          <span
            key={piece.id}
            className="figure flex min-w-0 items-center justify-center overflow-hidden border-r-2 border-copper bg-wash text-sm"
            style={{ width: `${(100 * piece.mm) / shown}%` }}
          >
            {piece.mm / shown > 0.09 ? plain(piece.mm, 0) : ''}
          </span>
        ))}
      </div>
      <p className="text-base">
        {cut.pieces.map((piece, index) => (
          <span key={piece.id}>
            {index > 0 ? ' + ' : ''}
            <Figure value={plain(piece.mm, 0)} />
            {labelOf(piece.id) === '' ? '' : ` for circuit ${labelOf(piece.id)}`}
          </span>
        ))}{' '}
        <span className="text-soft">{unit}</span>
        <span className="text-soft">
          , <Figure value={plain(cut.leftMm, 0)} /> of <Figure value={plain(cut.lengthMm, 0)} /> left
        </span>
      </p>
    </div>
  );
}

/**
 * From which stick and reel each piece is cut, so that as little as possible is begun, and how near that is to the best
 * there can be.
 */
export function CutLists({ kit }: { readonly kit: Kit }) {
  const { view, locked } = useOpenJob();
  const { plain, unit } = useLength();
  const { save } = useSave();
  const wishes = view.job.layout ?? NO_WISHES;
  if (kit.cutGroups.length === 0) return null;
  const missing = kit.cutGroups.some((group) => group.from === 'reel' && group.list.missing.length > 0);
  const allow = (otherColours: boolean): void =>
    void save('setLayout', { jobId: view.id, version: view.version, layout: { ...wishes, otherColours } });
  return (
    <section aria-label="Cut list">
      <h3 className="border-b border-ink pb-1 text-xl font-semibold">Cut list</h3>
      {kit.cutGroups.map(({ id, name, from, list }) => (
        <div key={id} className="border-b border-rule py-2">
          <p className="flex flex-wrap justify-between gap-x-3">
            <b>{name}</b>
            {list.cuts.length > 0 ? (
              <span className="text-soft">
                {from === 'stick'
                  ? `${list.begun} ${list.begun === 1 ? 'stick' : 'sticks'}`
                  : `${list.cuts.length} ${list.cuts.length === 1 ? 'reel or offcut' : 'reels or offcuts'}`}
                ,{' '}
                {list.begun <= list.bound + 1e-6 ? (
                  'least possible'
                ) : from === 'stick' ? (
                  `at least ${list.bound}`
                ) : (
                  <>
                    at least <Figure value={plain(list.bound, 0)} unit={unit} /> begun
                  </>
                )}
              </span>
            ) : null}
          </p>
          {list.cuts.map((cut) => (
            <CutBar key={cut.id} cut={cut} from={from} />
          ))}
          {list.missing.length > 0 ? (
            <p className="text-rework">
              <span aria-hidden>▲ </span>Still to find:{' '}
              {list.missing.map((piece) => `${plain(piece.mm, 0)} ${unit} for circuit ${labelOf(piece.id)}`).join(', ')}
            </p>
          ) : null}
        </div>
      ))}
      {kit.wireCuts.some((cut) => cut.tag) ? (
        <p className="py-2">
          Wire of another colour: tag both ends of{' '}
          {kit.wireCuts
            .filter((cut) => cut.tag)
            .map((cut) => `circuit ${cut.circuitNumber}`)
            .join(', ')}
          .
        </p>
      ) : null}
      {locked || (!missing && wishes.otherColours !== true) ? null : wishes.otherColours === true ? (
        <Button look="quiet" className="no-print" onClick={() => allow(false)}>
          Own colours only
        </Button>
      ) : (
        <Button className="no-print mt-2" onClick={() => allow(true)}>
          Allow another colour, with a tag
        </Button>
      )}
    </section>
  );
}
