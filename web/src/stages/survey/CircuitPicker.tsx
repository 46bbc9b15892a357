import clsx from 'clsx';
import type { Circuit } from '@mendum/core/harness';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { WireChip } from '../../shapes/WireLine.tsx';

interface CircuitPickerProps {
  readonly circuits: readonly Circuit[];
  readonly picked: readonly string[];
  readonly many: boolean;
  readonly onPick: (ids: readonly string[]) => void;
}

/**
 * Circuits by number, function and colour, each a large target; several may be picked for damage that runs across them.
 */
export function CircuitPicker({ circuits, picked, many, onPick }: CircuitPickerProps) {
  const press = (id: string): void =>
    onPick(!many ? [id] : picked.includes(id) ? picked.filter((one) => one !== id) : [...picked, id]);
  return (
    <div
      role="group"
      aria-label={many ? 'Circuits' : 'Circuit'}
      className="grid max-h-64 grid-cols-1 overflow-y-auto border border-rule sm:grid-cols-2"
    >
      {circuits.map((circuit) => {
        const on = picked.includes(circuit.id);
        return (
          <button
            key={circuit.id}
            type="button"
            aria-pressed={on}
            onClick={() => press(circuit.id)}
            title={`${colourInWords(circuit.wire.colour)}, ${sizeInWords(circuit.wire.size)}`}
            className={clsx(
              'flex min-h-11 items-center gap-2 border-b border-rule px-3 text-left',
              on ? 'bg-wash font-semibold' : 'hover:bg-wash',
            )}
          >
            <span className="w-4 text-copper" aria-hidden>
              {on ? '✓' : ''}
            </span>
            <span className="figure w-8 text-right">{circuit.number}</span>
            <span className="min-w-0 flex-1 truncate">{circuit.function}</span>
            <WireChip colour={circuit.wire.colour} width={36} title={colourInWords(circuit.wire.colour)} />
          </button>
        );
      })}
    </div>
  );
}
