import { useEffect, useState } from 'react';
import type { PinoutChoices, PinoutHarness, PinoutReading } from '@mendum/core/pinout';
import type { OpenedSheets } from '../../../workers/sheet.worker.ts';
import { NO_ORIGIN, originOf, type Origin } from './SheetOrigin.tsx';
import { keepChoices, recallChoices } from './keptChoices.ts';
import type { LineName } from './lineWords.ts';
import { readSheet } from './sheets.ts';

/** An opened sheet, read again whenever a choice changes; `progress` says how far a long one is. */
export function useSheet(harness: PinoutHarness): {
  readonly sheets: readonly string[];
  readonly sheet: number;
  readonly reading: PinoutReading | undefined;
  /** What its lines are called. */
  readonly called: LineName;
  readonly progress: { readonly done: number; readonly of: number } | undefined;
  /** Where the sheet is from, as it is typed. */
  readonly origin: Origin;
  readonly setOrigin: (of: Origin) => void;
  readonly opened: (of: OpenedSheets) => void;
  readonly pickSheet: (sheet: number) => void;
  readonly choose: (change: Partial<PinoutChoices>) => void;
  /** Answers a question, sets a guess otherwise, or takes an answer back. */
  readonly answer: (key: string, value: string | undefined) => void;
  readonly close: () => void;
} {
  const [sheets, setSheets] = useState<readonly string[]>([]);
  const [sheet, setSheet] = useState(0);
  const [opening, setOpening] = useState(0);
  const [choices, setChoices] = useState<PinoutChoices>({});
  const [reading, setReading] = useState<PinoutReading>();
  const [progress, setProgress] = useState<{ readonly done: number; readonly of: number }>();
  useEffect(() => {
    if (sheets.length === 0) return undefined;
    let current = true;
    // How far it is may be told after what was read: messages of two sorts come in no order.
    let isRead = false;
    void readSheet(sheet, harness, choices, (done, of) => {
      if (current && !isRead) setProgress({ done, of });
    }).then((read) => {
      if (!current) return;
      isRead = true;
      setReading(read);
      setProgress(undefined);
    });
    return () => {
      current = false;
    };
  }, [sheets, sheet, opening, choices, harness]);
  const [file, setFile] = useState<OpenedSheets>();
  const [origin, setOrigin] = useState(NO_ORIGIN);
  const start = (of: OpenedSheets | undefined): void => {
    setFile(of);
    setOrigin(originOf(of?.fileName));
    setSheets(of?.sheets ?? []);
    setSheet(of?.likeliest ?? 0);
    setChoices(recallChoices(of?.digests[of.likeliest]));
    setReading(undefined);
    setOpening((now) => now + 1);
  };
  const settle = (next: (now: PinoutChoices) => PinoutChoices): void =>
    setChoices((now) => {
      const made = next(now);
      keepChoices(file?.digests[sheet], made);
      return made;
    });
  return {
    sheets,
    sheet,
    reading,
    called: file?.called ?? 'line',
    progress,
    origin,
    setOrigin,
    opened: start,
    close: () => start(undefined),
    pickSheet: (next) => {
      setSheet(next);
      setChoices(recallChoices(file?.digests[next]));
    },
    choose: (change) => settle((now) => ({ ...now, ...change })),
    answer: (key, value) =>
      settle((now) => {
        const others = Object.fromEntries(Object.entries(now.answers ?? {}).filter(([of]) => of !== key));
        return { ...now, answers: value === undefined ? others : { ...others, [key]: value } };
      }),
  };
}
