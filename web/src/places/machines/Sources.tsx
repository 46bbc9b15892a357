import { useState } from 'react';
import { sourceInWords, type Harness } from '@mendum/core/harness';
import type { HarnessEdit } from '@mendum/core/survey';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { NO_ORIGIN, OriginFields, sourceOf, typed, type Origin } from './import/SheetOrigin.tsx';

/** The sheets that a harness is known from, and the way to change what is said of them. */
export function Sources({
  harness,
  onEdit,
}: {
  readonly harness: Harness;
  /** None where they are only read. */
  readonly onEdit: ((edit: HarnessEdit) => boolean) | undefined;
}) {
  const sources = harness.sources ?? [];
  const [lines, setLines] = useState<readonly Origin[]>();
  const nameless = lines?.some((line) => sourceOf(line) === undefined && `${line.year}${line.variant}`.trim() !== '');
  const save = (): void => {
    const now = (lines ?? []).flatMap((line) => sourceOf(line) ?? []);
    if (onEdit?.({ do: 'setSources', sources: now })) setLines(undefined);
  };
  return (
    <p className="flex flex-wrap items-center gap-x-4 text-lg">
      {sources.length === 0 ? null : (
        <span>
          <span className="text-soft">Known from:</span> {sources.map(sourceInWords).join(' · ')}
        </span>
      )}
      {onEdit ? (
        <button
          type="button"
          className="no-print min-h-11 underline underline-offset-4"
          onClick={() => setLines(sources.length === 0 ? [NO_ORIGIN] : sources.map(typed))}
        >
          {sources.length === 0 ? 'Say where this is known from' : 'Change'}
        </button>
      ) : null}
      {lines ? (
        <Dialog
          open
          shape="wide"
          onClose={() => setLines(undefined)}
          title={`Where ${harness.name} is known from`}
          about="Manuals, lists and drawings that its circuits were read from."
        >
          <div className="grid gap-4">
            {lines.map((line, index) => (
              <div key={index} className="grid items-end gap-3 border-b border-rule pb-3 sm:grid-cols-[1fr_auto]">
                <OriginFields
                  of={line}
                  onChange={(changed) => setLines(lines.map((one, at) => (at === index ? changed : one)))}
                />
                <Button look="quiet" onClick={() => setLines(lines.filter((_, at) => at !== index))}>
                  Remove
                </Button>
              </div>
            ))}
            {nameless === true ? (
              <p className="text-scrap">Say where it is from, or leave year and variant empty.</p>
            ) : null}
            <div className="flex flex-wrap gap-3">
              <Button look="copper" disabled={nameless === true} onClick={save}>
                Keep this
              </Button>
              <Button disabled={lines.length >= 50} onClick={() => setLines([...lines, NO_ORIGIN])}>
                Add another
              </Button>
            </div>
          </div>
        </Dialog>
      ) : null}
    </p>
  );
}
