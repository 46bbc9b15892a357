import { useEffect, useState } from 'react';
import type { PinoutChoices, PinoutHarness, PinoutReading } from '@mendum/core/pinout';
import { readSheet } from './sheets.ts';

/** An opened sheet, read again whenever a choice changes; `progress` says how far a long one is. */
export function useSheet(harness: PinoutHarness): {
  readonly sheets: readonly string[];
  readonly sheet: number;
  readonly reading: PinoutReading | undefined;
  readonly choices: PinoutChoices;
  readonly progress: { readonly done: number; readonly of: number } | undefined;
  readonly opened: (sheets: readonly string[], likeliest: number) => void;
  readonly pickSheet: (sheet: number) => void;
  readonly choose: (change: Partial<PinoutChoices>) => void;
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
    void readSheet(sheet, harness, choices, (done, of) => {
      if (current) setProgress({ done, of });
    }).then((read) => {
      if (!current) return;
      setReading(read);
      setProgress(undefined);
    });
    return () => {
      current = false;
    };
  }, [sheets, sheet, opening, choices, harness]);
  const start = (names: readonly string[], likeliest: number): void => {
    setSheets(names);
    setSheet(likeliest);
    setChoices({});
    setReading(undefined);
    setOpening((now) => now + 1);
  };
  return {
    sheets,
    sheet,
    reading,
    choices,
    progress,
    opened: start,
    close: () => start([], 0),
    pickSheet: (next) => {
      setSheet(next);
      setChoices({});
    },
    choose: (change) => setChoices((now) => ({ ...now, ...change })),
  };
}
