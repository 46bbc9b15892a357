import { EXAMPLE_SHEET } from '@mendum/core/pinout';
import { Button } from '../../../ui/button.tsx';
import { FIELD_WORDS } from './fieldWords.ts';
import { download } from './sheets.ts';

/** What a sheet may hold, and one to begin from. */
export function SheetExample() {
  const rows = EXAMPLE_SHEET.map((row) => [...row]);
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 text-lg">What may stand in a sheet, and an example</summary>
      <p className="mt-1">
        One line a wire, with its cavity: of one connector, or of both ends. These columns are read, in any order, by
        their usual names in English or German: {Object.values(FIELD_WORDS).join(' · ')}.
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button onClick={() => void download('xlsx', rows, 'pinout-example')}>Example as XLSX</Button>
        <Button onClick={() => void download('csv', rows, 'pinout-example')}>Example as CSV</Button>
      </div>
    </details>
  );
}
