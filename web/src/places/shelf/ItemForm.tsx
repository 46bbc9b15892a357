import type { SyntheticEvent, ReactNode } from 'react';
import type { ErrorBody } from '@mendum/core/operations';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { WrongWords } from '../../ui/field.tsx';

/** What every form of the shelf is given: the thing, whether it is new, and what becomes of it. */
export interface ItemFormProps<T> {
  readonly item: T;
  readonly isNew: boolean;
  readonly busy: boolean;
  /** What the shelf said against it; the form stays open with what was typed. */
  readonly refused: ErrorBody['error'] | undefined;
  readonly onSave: (item: T) => void;
  readonly onRemove: () => void;
  readonly onClose: () => void;
}

interface FrameProps extends Omit<ItemFormProps<never>, 'item' | 'onSave'> {
  readonly title: string;
  readonly about?: string;
  /** Words for the two ends of it: put there, or taken away. */
  readonly words: { readonly add: string; readonly save: string; readonly remove: string };
  readonly onSubmit: (event: SyntheticEvent) => void;
  /** What is wrong with it as a whole. */
  readonly wrong: string | undefined;
  readonly children: ReactNode;
}

/** The sheet of one thing on the shelf: its fields, and a foot that stays in reach of the thumb. */
export function ItemForm({
  title,
  about,
  words,
  isNew,
  busy,
  refused,
  onSubmit,
  wrong,
  onRemove,
  onClose,
  children,
}: FrameProps) {
  return (
    <Dialog open shape="sheet" onClose={onClose} title={title} {...(about === undefined ? {} : { about })}>
      <form noValidate className="grid gap-4" onSubmit={onSubmit}>
        {children}
        <WrongWords>{wrong}</WrongWords>
        {refused ? (
          <p role="alert" className="border-l-4 border-scrap pl-3">
            <b className="text-scrap">{refused.message}</b> {refused.hint}
          </p>
        ) : null}
        <div className="sticky -bottom-5 -mx-6 -mb-5 flex gap-3 border-t border-rule bg-sheet px-6 py-3 max-sm:-mx-4 max-sm:px-4">
          <Button type="submit" look="copper" disabled={busy} className="flex-1">
            {isNew ? words.add : words.save}
          </Button>
          {isNew ? null : (
            <Button look="scrap" disabled={busy} onClick={onRemove}>
              {words.remove}
            </Button>
          )}
          <Button onClick={onClose}>Cancel</Button>
        </div>
      </form>
    </Dialog>
  );
}
