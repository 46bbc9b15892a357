import type { ReactNode } from 'react';
import { idFrom, type HarnessNode } from '@mendum/core/harness';
import { Button } from '../../../ui/button.tsx';
import { Select } from '../../../ui/field.tsx';
import { OriginFields } from './SheetOrigin.tsx';
import { SheetColumns, SheetProblems, SheetRows } from './SheetPreview.tsx';
import { SheetAnswers, SheetQuestions } from './SheetQuestions.tsx';
import { SheetSource } from './SheetSource.tsx';
import { SheetTaken } from './SheetTaken.tsx';
import type { useSheet } from './useSheet.ts';

interface SheetReadingProps {
  readonly of: ReturnType<typeof useSheet>;
  readonly nodes: readonly HarnessNode[];
  /** What follows once everything is read. */
  readonly children?: ReactNode;
}

/** A pinout from its source to its preview: columns, questions, what is wrong, and the circuits as they were read. */
export function SheetReading({ of, nodes, children }: SheetReadingProps) {
  const { sheets, sheet, reading, called, progress } = of;
  const nodeName = (id: string): string =>
    nodes.find((node) => node.id === id)?.name ??
    reading?.newConnectors.find(({ name }) => idFrom(name) === id)?.name ??
    id;
  if (sheets.length === 0) return <SheetSource onOpened={of.opened} />;
  return (
    <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-5">
      <div className="flex flex-wrap items-center gap-4">
        {sheets.length > 1 ? (
          <Select label="Sheet" value={String(sheet)} onChange={(event) => of.pickSheet(Number(event.target.value))}>
            {sheets.map((name, index) => (
              <option key={name} value={index}>
                {name}
              </option>
            ))}
          </Select>
        ) : (
          <p className="text-lg">
            <b>{sheets[0]}</b>
          </p>
        )}
        <Button look="quiet" onClick={of.close}>
          Another sheet
        </Button>
        {progress ? (
          <label className="flex items-center gap-2 text-lg">
            Reading <progress value={progress.done} max={Math.max(1, progress.of)} />{' '}
            <span className="figure">{progress.done}</span> of <span className="figure">{progress.of}</span>
          </label>
        ) : null}
      </div>
      <OriginFields of={of.origin} onChange={of.setOrigin} />
      {reading ? (
        <>
          <SheetTaken
            reading={reading}
            called={called}
            onHeader={(headerRow) => of.choose({ headerRow, columns: undefined })}
          />
          <SheetProblems problems={reading.problems} called={called} />
          <SheetQuestions
            questions={reading.questions}
            lines={reading.lines}
            called={called}
            connectors={[...nodes, ...reading.newConnectors].map(({ name }) => name)}
            onAnswer={of.answer}
          />
          <SheetColumns reading={reading} onChange={(columns) => of.choose({ columns })} />
          <SheetAnswers questions={reading.answered} called={called} onAnswer={of.answer} />
          <SheetRows reading={reading} nodeName={nodeName} called={called} onAnswer={of.answer} />
          {children}
        </>
      ) : (
        <p role="status" className="text-lg text-soft">
          Reading the sheet…
        </p>
      )}
    </div>
  );
}
