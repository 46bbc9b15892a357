import { lazy } from 'react';
import type { CatalogueEdit, Part, Tool } from '@mendum/core/catalogue';
import type { WireStock } from '@mendum/core/stock';
import type { ErrorBody } from '@mendum/core/operations';

// Forms come when one is opened: they bring the schemas along.
const PartForm = lazy(async () => ({ default: (await import('./PartForm.tsx')).PartForm }));
const ToolForm = lazy(async () => ({ default: (await import('./ToolForm.tsx')).ToolForm }));
const ReelForm = lazy(async () => ({ default: (await import('./ReelForm.tsx')).ReelForm }));

/** What is opened over the shelf: a thing of it, one that is new, or a table of many. */
export type Opened =
  | { readonly what: 'part'; readonly part: Part; readonly isNew: boolean }
  | { readonly what: 'tool'; readonly tool: Tool; readonly isNew: boolean }
  | { readonly what: 'wire'; readonly reel: WireStock; readonly isNew: boolean }
  | { readonly what: 'import' };

/** Sends edits of the shelf; once done, says so, with the edits that undo them if there are such. */
export type SaveShelf = (
  edits: readonly CatalogueEdit[],
  said: string,
  undo?: readonly CatalogueEdit[],
) => Promise<void>;

interface ShelfFormsProps {
  readonly open: Opened | undefined;
  readonly busy: boolean;
  readonly refused: ErrorBody['error'] | undefined;
  readonly onSave: SaveShelf;
  readonly onClose: () => void;
}

/** The form of the part, tool or reel that is open. */
export function ShelfForms({ open, busy, refused, onSave, onClose }: ShelfFormsProps) {
  if (!open || open.what === 'import') return null;
  const form = { busy, refused, onClose, isNew: open.isNew };
  if (open.what === 'part') {
    const { part } = open;
    return (
      <PartForm
        {...form}
        item={part}
        onSave={(saved) => void onSave([{ kind: 'setPart', part: saved }], `${saved.name} is saved`)}
        onRemove={() =>
          void onSave([{ kind: 'removePart', id: part.id }], `${part.name} is off the list`, [
            { kind: 'setPart', part },
          ])
        }
      />
    );
  }
  if (open.what === 'tool') {
    const { tool } = open;
    return (
      <ToolForm
        {...form}
        item={tool}
        onSave={(saved) => void onSave([{ kind: 'setTool', tool: saved }], `${saved.name} is saved`)}
        onRemove={() =>
          void onSave([{ kind: 'removeTool', id: tool.id }], `${tool.name} is off the list`, [
            { kind: 'setTool', tool },
          ])
        }
      />
    );
  }
  const { reel: wire } = open;
  return (
    <ReelForm
      {...form}
      item={wire}
      onSave={(saved) => void onSave([{ kind: 'setWire', wire: saved }], 'The wire is saved')}
      onRemove={() =>
        void onSave([{ kind: 'removeWire', id: wire.id }], 'The wire is off the list', [{ kind: 'setWire', wire }])
      }
    />
  );
}
