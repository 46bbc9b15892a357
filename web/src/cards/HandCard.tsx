import { cavitiesOf, seenCavities, type ConnectorFace } from '@mendum/core/connector';
import type { HarnessNode } from '@mendum/core/harness';
import type { HarnessView } from '@mendum/core/operations';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { circuitInCavity } from '../connector/ConnectorView.tsx';
import { HandFace, handFaceSize } from './HandFace.tsx';
import { CARD, drawnOnCard, handPages } from './handPages.ts';

const SIDE_WORDS = { wire: 'Wire side, latch up', mating: 'Mating side, latch up' } as const;

/**
 * A connector's card for the hand: its wire side, and behind it the mating side. Two sides are printed beside each
 * other, cut out and folded between them.
 */
export function HandCard({
  view,
  node,
}: {
  readonly view: HarnessView;
  readonly node: HarnessNode & { readonly face: ConnectorFace };
}) {
  const circuitIn = (cavity: string) => circuitInCavity(view.circuits, node.id, cavity);
  const seen = { wire: seenOn('wire', node.face), mating: seenOn('mating', node.face) };
  const { wide, high } = handFaceSize(seen.wire);
  const size = drawnOnCard(wide, high);
  const pages = handPages(
    cavitiesOf(node.face).map(({ cavity }) => cavity),
    size.high,
  );
  const pairs = Array.from({ length: pages.length / 2 }, (_, at) => pages.slice(2 * at, 2 * at + 2));
  return (
    <div
      className="grid gap-6 overflow-x-auto print:overflow-visible"
      tabIndex={0}
      role="region"
      aria-label="Card for the hand"
    >
      {pairs.map((pair, card) => (
        <div key={card} className="hand-card flex w-fit border border-dashed border-soft bg-white text-[#1d2021]">
          {pair.map(({ side, lines }, half) => (
            <section
              key={side ?? half}
              aria-label={side ? SIDE_WORDS[side] : 'Further cavities'}
              className={half === 1 ? 'border-l border-dashed border-soft' : ''}
              style={{ width: `${CARD.wide}mm`, height: `${CARD.high}mm`, padding: `${CARD.margin}mm` }}
            >
              <div className="flex h-full flex-col">
                <p className="text-[13pt] leading-tight font-semibold">
                  {node.name} <span className="text-[9pt] font-normal">{view.name}</span>
                </p>
                <p className="mb-[1mm] text-[9pt] font-semibold">{side ? SIDE_WORDS[side] : 'Further cavities'}</p>
                {side ? <HandFace seen={seen[side]} side={side} circuitIn={circuitIn} size={size} /> : null}
                {lines.length === 0 ? null : (
                  <p
                    className="mt-[1.5mm] flex h-[4.4mm] gap-[2mm] border-b border-[#4c4942] text-[7.5pt] text-[#4c4942]"
                    aria-hidden
                  >
                    <span className="w-[9mm]">Cavity</span>
                    <span className="flex-1">Circuit</span>
                    <span>Wire</span>
                  </p>
                )}
                <ul>
                  {lines.map((cavity) => {
                    const circuit = circuitIn(cavity);
                    return (
                      <li
                        key={cavity}
                        className="flex h-[4.4mm] gap-[2mm] overflow-hidden text-[8.5pt] whitespace-nowrap"
                      >
                        <b className="figure w-[9mm] shrink-0">{cavity}</b>
                        {circuit ? (
                          <>
                            <span className="min-w-0 flex-1 overflow-hidden text-ellipsis">
                              <b className="figure">{circuit.number}</b> {circuit.function}
                            </span>
                            <span className="shrink-0">
                              {colourInWords(circuit.wire.colour)}, {sizeInWords(circuit.wire.size)}
                            </span>
                          </>
                        ) : (
                          <span className="text-[#4c4942]">
                            {node.fittings?.[cavity]?.seal === 'plug' ? 'plugged' : 'empty'}
                          </span>
                        )}
                      </li>
                    );
                  })}
                </ul>
                <p className="mt-auto text-[7.5pt] text-[#4c4942]">
                  {view.machine}. The maker’s service manual comes first.
                </p>
              </div>
            </section>
          ))}
        </div>
      ))}
    </div>
  );
}

const seenOn = (side: 'wire' | 'mating', face: ConnectorFace) => seenCavities(face, { side, latch: 'up' });
