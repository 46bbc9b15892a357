import { useState } from 'react';
import type { Catalogue } from '@mendum/core/catalogue';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { useSave } from '../app/change.ts';
import { errorOf } from '../app/errors.ts';
import { useShelfQuery } from '../app/api.ts';
import { keep, recall } from '../app/kept.ts';
import { notify } from '../app/notice.ts';
import { fits, groupOf, GROUPS, type Group } from '../places/shelf/words.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { Failed, Working } from '../ui/empty.tsx';
import { NumberField, TickBox } from '../ui/field.tsx';
import { editsOf, NOTHING_COUNTED, sortsCounted, wrongMetres, wrongPieces, type Counted } from './counts.ts';

/** Groups of which a shop has dozens: open only for who asks. */
const LONG: ReadonlySet<string> = new Set(['terminals', 'seals', 'housings']);
const KEY = 'mendum.count';

/** What was typed before, on this device; a damaged memory counts as none. */
function remembered(): Counted {
  const kept = recall(KEY);
  if (typeof kept !== 'object' || kept === null) return NOTHING_COUNTED;
  const { pieces, tools, metres } = kept as Record<string, unknown>;
  const isTexts = (of: unknown): of is Record<string, string> =>
    typeof of === 'object' && of !== null && Object.values(of).every((text) => typeof text === 'string');
  return isTexts(pieces) && isTexts(metres) && Array.isArray(tools)
    ? { pieces, metres, tools: new Set(tools.filter((id) => typeof id === 'string')) }
    : NOTHING_COUNTED;
}

interface ListProps {
  readonly shelf: Catalogue;
  readonly counted: Counted;
  readonly onChange: (counted: Counted) => void;
}

/** One group of parts; those with dozens of sorts are drawn once somebody opens them. */
function GroupToCount({ group, shelf, counted, onChange }: ListProps & { readonly group: Group }) {
  const [isOpen, setIsOpen] = useState(!LONG.has(group.id));
  const parts = shelf.parts.filter((part) => groupOf(part) === group.id);
  if (parts.length === 0) return null;
  return (
    <details open={isOpen} onToggle={(event) => setIsOpen(event.currentTarget.open)} className="border-t border-rule">
      <summary className="min-h-11 cursor-pointer content-center text-xl font-semibold">
        {group.title} <span className="text-base font-normal text-soft">{parts.length} sorts</span>
      </summary>
      <div className="grid gap-x-6 gap-y-2 pb-4 sm:grid-cols-2 lg:grid-cols-3">
        {(isOpen ? parts : []).map((part) => (
          <NumberField
            key={part.id}
            label={part.name}
            hint={fits(part)}
            unit="pieces"
            value={counted.pieces[part.id] ?? ''}
            onChange={(event) => onChange({ ...counted, pieces: { ...counted.pieces, [part.id]: event.target.value } })}
            wrong={wrongPieces(counted.pieces[part.id])}
          />
        ))}
      </div>
    </details>
  );
}

const PartsToCount = (props: ListProps) =>
  GROUPS.map((group) => <GroupToCount key={group.id} group={group} {...props} />);

function ToolsToTick({ shelf, counted, onChange }: ListProps) {
  const toggle = (id: string): void => {
    const tools = new Set(counted.tools);
    if (!tools.delete(id)) tools.add(id);
    onChange({ ...counted, tools });
  };
  return (
    <details open className="border-t border-rule">
      <summary className="min-h-11 cursor-pointer content-center text-xl font-semibold">Tools</summary>
      <div className="grid gap-x-6 pb-4 sm:grid-cols-2">
        {shelf.tools.map((tool) => (
          <TickBox
            key={tool.id}
            label={tool.name}
            checked={counted.tools.has(tool.id)}
            onChange={() => toggle(tool.id)}
          />
        ))}
      </div>
    </details>
  );
}

function WireToCount({ shelf, counted, onChange }: ListProps) {
  return (
    <details open className="border-t border-rule">
      <summary className="min-h-11 cursor-pointer content-center text-xl font-semibold">Wire</summary>
      <div className="grid gap-x-6 gap-y-2 pb-4 sm:grid-cols-2 lg:grid-cols-3">
        {shelf.wires.map(({ id, wire }) => (
          <NumberField
            key={id}
            label={`${sizeInWords(wire.size)}, ${colourInWords(wire.colour)}`}
            unit="m"
            value={counted.metres[id] ?? ''}
            onChange={(event) => onChange({ ...counted, metres: { ...counted.metres, [id]: event.target.value } })}
            wrong={wrongMetres(counted.metres[id])}
          />
        ))}
      </div>
    </details>
  );
}

/** A usual assortment, counted: what is left empty is not there. What is typed is kept on the device until it is saved. */
export function CountShelf({ onClose }: { readonly onClose: () => void }) {
  const { data: shelf, error, refetch } = useShelfQuery({});
  const { save, busy } = useSave();
  const [counted, setCounted] = useState(remembered);
  const change = (next: Counted): void => {
    setCounted(next);
    keep(KEY, { ...next, tools: [...next.tools] });
  };
  const failed = error && errorOf(error);
  const wrong =
    Object.values(counted.pieces).some((text) => wrongPieces(text) !== undefined) ||
    Object.values(counted.metres).some((text) => wrongMetres(text) !== undefined);
  const sorts = sortsCounted(counted);
  const done = (): void => {
    if (!shelf) return;
    void save('changeShelf', { version: shelf.version, edits: editsOf(shelf, counted) }).then(({ ok }) => {
      if (!ok) return;
      keep(KEY, undefined);
      notify(`The shelf is counted: ${sorts} ${sorts === 1 ? 'sort' : 'sorts'}`);
      onClose();
    });
  };
  const list = shelf && { shelf, counted, onChange: change };
  return (
    <Dialog
      open
      shape="wide"
      onClose={onClose}
      title="What is on the shelf"
      about="A usual assortment. Count what is there; what stays empty is not there. You can stop and go on later."
    >
      {failed ? (
        <Failed message={failed.message} hint={failed.hint} onRetry={() => void refetch()} />
      ) : !list ? (
        <Working words="Fetching the shelf…" />
      ) : (
        <>
          <PartsToCount {...list} />
          <ToolsToTick {...list} />
          <WireToCount {...list} />
          <div className="sticky -bottom-5 -mx-6 -mb-5 flex flex-wrap items-center justify-end gap-3 border-t border-ink bg-sheet px-6 py-3 max-sm:-mx-4 max-sm:px-4">
            <p className="mr-auto text-lg" aria-live="polite">
              {sorts === 0 ? 'Nothing counted yet.' : `${sorts} ${sorts === 1 ? 'sort' : 'sorts'} counted.`}
            </p>
            <Button onClick={onClose}>Go on later</Button>
            <Button look="copper" size="large" disabled={busy || wrong || sorts === 0} onClick={done}>
              That is all there is
            </Button>
          </div>
        </>
      )}
    </Dialog>
  );
}
