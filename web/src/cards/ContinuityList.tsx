import { useState } from 'react';
import { cavitiesOf } from '@mendum/core/connector';
import type { HarnessNode } from '@mendum/core/harness';
import type { ContinuityNeed } from '@mendum/core/mapping';
import { Button } from '../ui/button.tsx';

interface ContinuityListProps {
  readonly needs: readonly ContinuityNeed[];
  readonly node: HarnessNode;
  readonly nodeName: (id: string) => string;
  readonly proved: boolean;
  readonly locked: boolean;
  readonly onRead: (cavity: string, soundsAt: string | null, neighbourSounds: boolean) => void;
}

/** One reading: it sounds here, at another cavity, nowhere, or at a neighbour as well. */
function Answer({
  need,
  cavities,
  onRead,
}: {
  readonly need: ContinuityNeed;
  readonly cavities: readonly string[];
  readonly onRead: ContinuityListProps['onRead'];
}) {
  const [elsewhere, setElsewhere] = useState(false);
  if (elsewhere) {
    return (
      <span className="flex flex-wrap items-center gap-2">
        At which?
        {cavities
          .filter((cavity) => cavity !== need.cavity)
          .map((cavity) => (
            <Button
              key={cavity}
              className="figure"
              onClick={() => {
                setElsewhere(false);
                onRead(need.cavity, cavity, false);
              }}
            >
              {cavity}
            </Button>
          ))}
        <Button look="quiet" onClick={() => setElsewhere(false)}>
          Back
        </Button>
      </span>
    );
  }
  return (
    <span className="flex flex-wrap gap-2">
      <Button onClick={() => onRead(need.cavity, need.cavity, false)}>Sounds at {need.cavity} only</Button>
      <Button look="quiet" onClick={() => onRead(need.cavity, need.cavity, true)}>
        and at a neighbour
      </Button>
      <Button look="quiet" onClick={() => setElsewhere(true)}>
        At another
      </Button>
      <Button look="quiet" onClick={() => onRead(need.cavity, null, false)}>
        Nowhere
      </Button>
    </span>
  );
}

/** The continuity readings that prove a mapping: one for each circuit, each ruled on at once. */
export function ContinuityList({ needs, node, nodeName, proved, locked, onRead }: ContinuityListProps) {
  const cavities = node.face ? cavitiesOf(node.face).map((one) => one.cavity) : needs.map((need) => need.cavity);
  return (
    <section aria-label="Continuity" className="mt-6">
      <h2 className="text-xl font-semibold">
        Prove it: {needs.length} readings{proved ? <span className="ml-3 text-pass">✓ proved</span> : null}
      </h2>
      <p className="text-lg text-soft">
        Circuit dead. One probe at the far end, the other on the new connector’s mating side, cavity by cavity.
      </p>
      <ol>
        {needs.map((need) => (
          <li
            key={need.cavity}
            className="grid items-center gap-x-4 gap-y-1 border-b border-rule py-2 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]"
          >
            <p className="text-lg">
              <b className="figure">{need.circuit.number}</b> {need.circuit.function}: {nodeName(need.farNodeId)}{' '}
              <b className="figure">{need.farCavity}</b> ↔ {node.name} <b className="figure">{need.cavity}</b>
            </p>
            <div>
              {need.ruling ? (
                <p className={`text-lg font-semibold ${need.ruling.ok ? 'text-pass' : 'text-scrap'}`}>
                  {need.ruling.ok ? '✓ pass. ' : '✗ '}
                  <span className="font-normal text-ink">{need.ruling.because}</span>
                </p>
              ) : null}
              {locked || need.ruling?.ok ? null : (
                <div className="no-print">
                  <Answer need={need} cavities={cavities} onRead={onRead} />
                </div>
              )}
              {need.ruling ? null : <p className="hidden print:block">reads: ______ by: ______</p>}
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}
