import { useState } from 'react';
import { hasWays, isOfFamily, otherConnector } from '@mendum/core/approach';
import { partsOf } from '@mendum/core/catalogue';
import type { HarnessNode } from '@mendum/core/harness';
import { useShelfQuery } from '../app/api.ts';
import { Button } from '../ui/button.tsx';
import { Select } from '../ui/field.tsx';
import { draftFrom, type DraftWire } from './mappingDraft.ts';

/**
 * Takes the wires of a pigtail as the shelf lists them, so that nobody types what is known; only those that may belong
 * to the connector.
 */
export function FromShelf({
  node,
  cavities,
  onTake,
}: {
  readonly node: HarnessNode;
  readonly cavities: readonly string[];
  readonly onTake: (wires: readonly DraftWire[]) => void;
}) {
  const { data: shelf } = useShelfQuery({});
  const [id, setId] = useState('');
  const fitting = partsOf(shelf?.parts ?? [], 'pigtail').filter(
    (part) => part.quantity > 0 && hasWays(part, node, cavities.length) && otherConnector(part, node) === undefined,
  );
  const part = fitting.find((one) => one.id === id);
  if (fitting.length === 0) return null;
  return (
    <div className="no-print mt-4 flex flex-wrap items-end gap-3">
      <div className="min-w-0 grow sm:max-w-md">
        <Select label="Pigtail from the shelf" value={id} onChange={(event) => setId(event.target.value)}>
          <option value="">another one, read off by hand</option>
          {fitting.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
              {isOfFamily(one, node) === true ? ', its family' : ''}
            </option>
          ))}
        </Select>
      </div>
      <Button disabled={!part} onClick={() => part && onTake(draftFrom(part, cavities))}>
        Take its wires
      </Button>
    </div>
  );
}
