import clsx from 'clsx';
import { cavitiesOf, type ConnectorFace } from '@mendum/core/connector';
import type { Circuit, HarnessNode } from '@mendum/core/harness';
import { colourInWords } from '@mendum/core/wire';
import { WireChip } from '../shapes/WireLine.tsx';

interface CavityListProps {
  readonly node: HarnessNode & { readonly face: ConnectorFace };
  readonly circuitIn: (cavity: string) => Circuit | undefined;
  readonly picked: string | undefined;
  readonly onPick: (cavity: string) => void;
}

/** Every cavity of a connector in the order of its numbers; picking one shows it in the faces. */
export function CavityList({ node, circuitIn, picked, onPick }: CavityListProps) {
  return (
    <ul aria-label={`Cavities of ${node.name}`} className="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
      {cavitiesOf(node.face).map(({ cavity }) => {
        const circuit = circuitIn(cavity);
        const seal = node.fittings?.[cavity]?.seal;
        return (
          <li key={cavity} className="border-b border-rule">
            <button
              type="button"
              aria-pressed={cavity === picked}
              className={clsx(
                'flex min-h-11 w-full items-center gap-3 px-2 text-left',
                cavity === picked ? 'border-l-4 border-copper bg-wash font-semibold' : 'hover:bg-wash',
              )}
              onClick={() => onPick(cavity)}
            >
              <span className="figure w-7 text-right">{cavity}</span>
              {circuit ? (
                <>
                  <WireChip width={36} colour={circuit.wire.colour} title={colourInWords(circuit.wire.colour)} />
                  <span className="min-w-0 flex-1 truncate">
                    <span className="figure">{circuit.number}</span> {circuit.function}
                  </span>
                </>
              ) : (
                <span className="flex-1 text-soft">empty{seal === 'plug' ? ', plugged' : ''}</span>
              )}
              {seal === 'missing' ? <span className="font-semibold text-scrap">seal missing</span> : null}
            </button>
          </li>
        );
      })}
    </ul>
  );
}
