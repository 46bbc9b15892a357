import { fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { readPinout, type PinoutChoices } from '@mendum/core/pinout';
import { readSeparatedLines } from '@mendum/core/spreadsheet';
import { keepChoices, recallChoices } from './keptChoices.ts';
import { linesInWords } from './lineWords.ts';
import { SheetReading } from './SheetReading.tsx';

/** The reading as it stands after each answer, without the thread beside the page. */
function Shown({ text, called = 'line' }: { readonly text: string; readonly called?: 'line' | 'row' }) {
  const [choices, setChoices] = useState<PinoutChoices>({});
  const reading = readPinout(readSeparatedLines(text), { nodes: [], runs: [], circuits: [] }, choices);
  return (
    <SheetReading
      of={{
        sheets: ['Plug'],
        sheet: 0,
        reading,
        called,
        progress: undefined,
        origin: { source: 'list.csv', year: '', variant: '' },
        setOrigin: () => undefined,
        opened: () => undefined,
        pickSheet: () => undefined,
        choose: (change) => setChoices((now) => ({ ...now, ...change })),
        answer: (key, value) => setChoices((now) => ({ ...now, answers: { ...now.answers, [key]: value ?? '' } })),
        close: () => undefined,
      }}
      nodes={[]}
    />
  );
}
const SHEET = `Plug of the lamp loom,,,,
Pin,Circuit,Colour,Gauge,Function
1,11,SW,20,Lamp left
2,12,BL/R,20,Horn
3,13,RT,2.5,Supply
4,,,,spare`;

beforeEach(() => localStorage.clear());

describe('a sheet before anything of it is imported', () => {
  it('says what it is taken for and what became of every line; each question shows its lines', async () => {
    render(<Shown text={SHEET} />);
    const taken = screen.getByRole('region', { name: 'What it is taken for' });
    expect(taken.textContent).toContain('One list, headers in line 2');
    expect(taken.textContent).toContain('Columns A to E, lines 3 to 6: a line names one end of its wire.');
    expect(taken.textContent).toContain('6 lines: 1 is an empty cavity, 3 are asked about, 2 are left out.');
    await userEvent.click(within(taken).getByText('left out', { exact: false, selector: 'summary' }));
    expect(within(taken).getByText(/above the headers/)).toBeTruthy();
    const size = screen.getByRole('group', { name: /^What is size “20”/ });
    expect(size.textContent).toContain('Lines 3 and 4');
    expect(size.textContent).toContain('1 · 11 · SW · 20 · Lamp left');
    expect(screen.queryByText(/circuits? read/)).toBeNull();
  });
  it('answered one by one, by a tap or in writing, it comes to its circuits; an answer can be taken back', async () => {
    render(<Shown text={SHEET} />);
    await userEvent.click(screen.getByRole('button', { name: '20 AWG copper, 0.52 mm²' }));
    const write = async (group: RegExp, words: string): Promise<void> => {
      const asked = within(screen.getByRole('group', { name: group }));
      await userEvent.type(asked.getByRole('combobox'), words);
      await userEvent.click(asked.getByRole('button', { name: 'Take it' }));
    };
    await write(/^Which colour is “BL\/R”/, 'blue/red');
    await write(/no connector/, 'X31');
    expect(screen.getByRole('heading', { name: 'One question before anything is imported' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'not known' }));
    expect(screen.getByText('circuits read', { exact: false }).textContent).toBe('3 circuits read');
    expect(screen.getByRole('row', { name: /12 Horn/ }).textContent).toContain('blue with red stripe');
    const kept = screen.getByRole('region', { name: 'How it is read' });
    expect(within(kept).getByLabelText('Colours are written in')).toHaveProperty('value', 'german');
    fireEvent.change(within(kept).getByLabelText(/^What is size “20”/), { target: { value: '' } });
    expect(screen.getByRole('heading', { name: 'One question before anything is imported' })).toBeTruthy();
  });
  it('what was concluded of a circuit is set right where it stands', async () => {
    render(<Shown text={'Circuit,From,To,Size,Colour,Function\n1,A-1,B-1,1.0,RD,Level sensor'} />);
    const kind = screen.getByLabelText('Kind of circuit 1, from its function');
    expect(kind).toHaveProperty('value', 'lowLevel');
    await userEvent.selectOptions(kind, 'signal');
    expect(screen.getByLabelText('Kind of circuit 1, from its function')).toHaveProperty('value', 'signal');
  });
  it('of a workbook its rows are named', () => {
    render(<Shown text={'Circuit,From,To,Size,Colour\n1,A-1,B-1,thick,RD'} called="row" />);
    expect(screen.getByRole('alert').textContent).toContain('Row 2, column D, Size:');
    expect(screen.queryByRole('columnheader', { name: 'Line' })).toBeNull();
  });
});

describe('lines in words', () => {
  it.each([
    [[4], 'Line 4'],
    [[3, 5, 9], 'Lines 3, 5 and 9'],
    [Array.from({ length: 8 }, (_, at) => at + 1), 'Lines 1, 2, 3, 4, 5, 6, 7 and 8'],
    [Array.from({ length: 9 }, (_, at) => at + 1), 'Lines 1, 2, 3, 4, 5, 6 … 9, 9 in all'],
  ])('%j', (lines, words) => expect(linesInWords(lines, 'line')).toBe(words));
});

describe('how a sheet was read, kept on this device', () => {
  it('is there at a second look, for the newest twenty sheets', () => {
    const choices = { headerRow: 1, columns: { 2: 'size', 3: null }, answers: { 'size:16': 'awg' } } as const;
    keepChoices('first', choices);
    expect(recallChoices('first')).toEqual(choices);
    expect(recallChoices(undefined)).toEqual({});
    for (let at = 0; at < 20; at += 1) keepChoices(`other ${at}`, {});
    expect(recallChoices('first')).toEqual({});
  });
  it.each(['[1]', '{', '{"first":{"headerRow":"x","columns":{"1":"weight"},"answers":[1]}}'])(
    'damaged as %s it counts as nothing',
    (kept) => {
      localStorage.setItem('mendum.sheets', kept);
      expect(recallChoices('first')).toEqual({});
    },
  );
});
