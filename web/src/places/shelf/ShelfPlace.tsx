import { lazy, Suspense, useState } from 'react';
import { useSearchParams } from 'react-router';
import { GENERIC_PARTS, kindOf, PART_KINDS, type Catalogue, type Part, type Tool } from '@mendum/core/catalogue';
import type { WireStock } from '@mendum/core/stock';
import { usualWire } from '@mendum/core/wire';
import type { ErrorBody } from '@mendum/core/operations';
import { v4 as uuid } from 'uuid';
import { useShelfQuery } from '../../app/api.ts';
import { showError, useSave } from '../../app/change.ts';
import { errorOf } from '../../app/errors.ts';
import { notify } from '../../app/notice.ts';
import { useMay } from '../../app/session.ts';
import { Only } from '../../people/Only.tsx';
import { Button } from '../../ui/button.tsx';
import { Empty, Failed, Working } from '../../ui/empty.tsx';
import { Select, TextField, TickBox } from '../../ui/field.tsx';
import { Tabs, type Tab } from '../../ui/tabs.tsx';
import { Place } from '../Place.tsx';
import { PartList } from './PartList.tsx';
import { ShelfForms, type Opened, type SaveShelf } from './ShelfForms.tsx';
import { ShelfImport } from './ShelfImport.tsx';
import { GROUPS, groupOf } from './words.ts';
import { Tools, Wire } from './ShelfLists.tsx';

const CountShelf = lazy(async () => ({ default: (await import('../../begin/CountShelf.tsx')).CountShelf }));

const NEW_TOOL: Omit<Tool, 'id'> = { name: '', tasks: [], ratchet: true };
const NEW_REEL: Omit<WireStock, 'id'> = {
  wire: usualWire(1, { base: 'black' }),
  lengthMm: 1000,
};

const matching = (part: Part, words: string): boolean =>
  words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => `${part.name} ${kindOf(part.kind).words} ${part.place ?? ''}`.toLowerCase().includes(word));

/** A generic part as the start of a new one of its kind. */
const templateOf = (kind: Part['kind']): Part | undefined => GENERIC_PARTS.find((part) => part.kind === kind);

/**
 * What is really there: parts with what they take, tools with their dies, wire by colour; kept up to date by hand or
 * from a table.
 */
export function ShelfPlace() {
  const { data: shelf, error, refetch } = useShelfQuery({});
  const { save: send, busy } = useSave();
  const [search] = useSearchParams();
  const [words, setWords] = useState(search.get('find') ?? '');
  const [everything, setEverything] = useState(false);
  const [open, setOpen] = useState<Opened | undefined>(search.has('import') ? { what: 'import' } : undefined);
  const [counting, setCounting] = useState(false);
  const may = useMay('changeShelf');
  const [refused, setRefused] = useState<ErrorBody['error']>();
  const failed = error && errorOf(error);
  const close = (): void => {
    setOpen(undefined);
    setRefused(undefined);
  };

  const save: SaveShelf = async (edits, said, undo) => {
    if (!shelf) return;
    const outcome = await send('changeShelf', { version: shelf.version, edits }, { quiet: true });
    if (!outcome.ok) {
      if (open) setRefused(outcome.error);
      else showError(outcome.error);
      if (outcome.error.code === 'STALE') void refetch();
      return;
    }
    close();
    const { shelfVersion: version } = outcome.data;
    notify(said, undo ? { undo: () => void send('changeShelf', { version, edits: undo }) } : {});
  };
  const shown = (shelf?.parts ?? []).filter(
    (part) => (everything || part.quantity > 0 || words.trim() !== '') && matching(part, words.trim()),
  );
  const tabs = (shelf: Catalogue): readonly Tab[] => [
    {
      name: 'parts',
      title: 'Parts',
      content: (
        <>
          <div className="mb-4 flex flex-wrap items-end gap-x-6 gap-y-3">
            <div className="w-72">
              <TextField
                label="Find a part"
                type="search"
                value={words}
                onChange={(event) => setWords(event.target.value)}
              />
            </div>
            <TickBox
              label="Show what is known but not there, too"
              checked={everything}
              onChange={(event) => setEverything(event.target.checked)}
            />
            <Only may="changeShelf">
              <div className="ml-auto w-72">
                <Select
                  label="Add a part of a new kind"
                  value=""
                  onChange={(event) => {
                    const from = templateOf(event.target.value as Part['kind']);
                    if (from)
                      setOpen({
                        what: 'part',
                        isNew: true,
                        part: { ...from, id: uuid(), quantity: 1, figuresFrom: 'stamped' },
                      });
                  }}
                >
                  <option value="">Choose its kind…</option>
                  {PART_KINDS.map(({ kind, words: name }) => (
                    <option key={kind} value={kind}>
                      {name}
                    </option>
                  ))}
                </Select>
              </div>
            </Only>
          </div>
          {shown.length === 0 ? (
            <Empty title={words.trim() === '' ? 'Nothing is on the shelf' : `Nothing matches “${words}”`}>
              Show what is known, and count what is there; or import a table.
            </Empty>
          ) : (
            <div className="grid items-start gap-x-10 gap-y-7 xl:grid-cols-2">
              {GROUPS.map((group) => ({ group, parts: shown.filter((part) => groupOf(part) === group.id) }))
                .filter(({ parts }) => parts.length > 0)
                .map(({ group, parts }) => (
                  <PartList
                    key={group.title}
                    group={group}
                    parts={parts}
                    busy={busy}
                    locked={!may}
                    onOpen={(part) => setOpen({ what: 'part', part, isNew: false })}
                    onCount={(part, quantity) =>
                      void save([{ kind: 'setPart', part: { ...part, quantity } }], `${part.name}: ${quantity}`, [
                        { kind: 'setPart', part },
                      ])
                    }
                  />
                ))}
            </div>
          )}
        </>
      ),
    },
    {
      name: 'tools',
      title: 'Tools and dies',
      content: (
        <>
          <Tools shelf={shelf} locked={!may} onOpen={(tool) => setOpen({ what: 'tool', tool, isNew: false })} />
          <Only may="changeShelf">
            <Button
              className="mt-4"
              onClick={() => setOpen({ what: 'tool', isNew: true, tool: { ...NEW_TOOL, id: uuid() } })}
            >
              Add a tool
            </Button>
          </Only>
        </>
      ),
    },
    {
      name: 'wire',
      title: 'Wire on hand',
      content: (
        <>
          <Wire shelf={shelf} locked={!may} onOpen={(reel) => setOpen({ what: 'wire', reel, isNew: false })} />
          <Only may="changeShelf">
            <Button
              className="mt-4"
              onClick={() => setOpen({ what: 'wire', isNew: true, reel: { ...NEW_REEL, id: uuid() } })}
            >
              Add wire
            </Button>
          </Only>
        </>
      ),
    },
  ];
  const actions = (
    <div className="flex flex-wrap gap-3">
      <a
        href="/api/shelf/file"
        download
        className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-sheet px-4 text-lg font-semibold hover:bg-wash"
      >
        Export as CSV
      </a>
      <Only may="importShelf">
        <Button onClick={() => setOpen({ what: 'import' })}>Import CSV</Button>
      </Only>
    </div>
  );
  return (
    <Place
      title="Shelf"
      about={
        shelf
          ? `${shelf.name}. Plans use what is here; what is missing is named with what to order.`
          : 'What is really there.'
      }
      actions={actions}
    >
      {failed ? (
        <Failed message={failed.message} hint={failed.hint} onRetry={() => void refetch()} />
      ) : !shelf ? (
        <Working words="Fetching the shelf…" />
      ) : (
        <>
          {shelf.uncounted === true ? (
            <div className="mb-5 flex flex-wrap items-center gap-x-6 gap-y-2 border-l-4 border-rework pl-4 text-lg">
              <p className="max-w-[60ch]">
                <b>Nobody has counted this shelf.</b> It is a usual one: plans say what a repair takes, and never that
                the kit is ready. Set the quantities, or import your own list; then say so.
              </p>
              <Only may="changeShelf">
                <Button look="copper" onClick={() => setCounting(true)}>
                  Count it
                </Button>
                <Button
                  disabled={busy}
                  onClick={() =>
                    void save([{ kind: 'setCounted', counted: true }], 'The shelf is counted', [
                      { kind: 'setCounted', counted: false },
                    ])
                  }
                >
                  It is counted
                </Button>
              </Only>
            </div>
          ) : null}
          <Tabs label="What is on the shelf" tabs={tabs(shelf)} />
          <Suspense fallback={null}>
            {counting ? <CountShelf onClose={() => setCounting(false)} /> : null}
            <ShelfForms open={open} busy={busy} refused={refused} onSave={save} onClose={close} />
          </Suspense>
          {open?.what === 'import' ? <ShelfImport version={shelf.version} onClose={close} /> : null}
        </>
      )}
    </Place>
  );
}
