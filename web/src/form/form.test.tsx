import { useState } from 'react';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Tool } from '@mendum/core/catalogue';
import type { WireStock } from '@mendum/core/stock';
import { partSchema, toolSchema, wireStockSchema } from '@mendum/core/schemas';
import { GENERIC_PARTS, kindOf } from '@mendum/core/catalogue';
import { NumberField, TextField, WrongWords } from '../ui/field.tsx';
import { JacketFields } from './JacketFields.tsx';
import { filled } from './test/filled.ts';
import { useKept } from './useKept.ts';
import { useThing } from './useThing.ts';

const TOOL: Tool = { id: 't', name: 'Crimper', tasks: ['crimpClip'], ratchet: true, range: { minMm2: 1, maxMm2: 6 } };
const REEL: WireStock = {
  id: 'r',
  lengthMm: 500,
  wire: {
    size: { basis: 'metric', areaMm2: 2.5 },
    conductor: { kind: 'stranded', metal: 'aluminium' },
    jacket: { material: 'xlpe', wall: 'thin' },
    colour: { base: 'red' },
  },
};

describe('a form over one thing', () => {
  it('that asks for a field which its schema does not have is no form', () => {
    const quiet = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    function Wrong() {
      const form = useThing(toolSchema, TOOL);
      return <TextField label="Weight" {...form.field('weightKg')} />;
    }
    expect(() => render(<Wrong />)).toThrow('The form asks for “weightKg”, which its schema does not have.');
    quiet.mockRestore();
  });
  it('says what is wrong with what it has no field for, and hands nothing on', async () => {
    const kept: Tool[] = [];
    function Short() {
      const form = useThing<Tool>(toolSchema, { ...TOOL, calibratedUntil: 'next spring' });
      return (
        <form onSubmit={form.submit((tool) => kept.push(tool))}>
          <TextField label="Name" {...form.field('name')} />
          <WrongWords>{form.wrong('root')}</WrongWords>
          <button type="submit">Save</button>
        </form>
      );
    }
    render(<Short />);
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'calibratedUntil: Enter a date like 2030-05-31, or leave it empty.',
    );
    expect(kept).toEqual([]);
  });
  it('counting strands leaves the metal as it is, and no more than 2,000 are counted', async () => {
    const kept: WireStock[] = [];
    function Reel() {
      const form = useThing<WireStock>(wireStockSchema, REEL);
      return (
        <form onSubmit={form.submit((reel) => kept.push(reel))}>
          <JacketFields form={form} wire={form.typed.wire} at="wire" />
          <button type="submit">Save</button>
        </form>
      );
    }
    render(<Reel />);
    await userEvent.type(screen.getByLabelText('Strands, counted'), '2001');
    await userEvent.type(screen.getByLabelText('Diameter, measured'), '60.1');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findAllByRole('alert')).map(({ textContent }) => textContent)).toEqual([
      'Enter a number above 0, up to 60 mm, or leave it empty.',
      'Enter a whole number from 2 to 2,000, or leave it empty.',
    ]);
    await userEvent.type(screen.getByLabelText('Strands, counted'), '{backspace}');
    await userEvent.type(screen.getByLabelText('Diameter, measured'), '{backspace}{backspace}');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept[0]?.wire).toMatchObject({
      conductor: { kind: 'stranded', metal: 'aluminium', strands: 200 },
      jacket: { outerDiameterMm: 60 },
    });
  });
  it('what is wrong with a part as a whole is said of the whole', async () => {
    const part = GENERIC_PARTS.find(({ kind }) => kind === 'pigtail');
    expect(part && kindOf(part.kind).problem).toBeDefined();
    const { wrong } = await filled(partSchema, {
      ...part,
      ways: 2,
      leads: ['1', '2', '3'].map((cavity) => ({ cavity, colour: { base: 'red' }, areaMm2: 1 })),
    });
    expect(Object.keys(wrong)).toEqual(['root']);
  });
});

describe('fields that are kept as they are left', () => {
  const show = (keep: (tool: Tool) => boolean = () => true) => {
    const kept: Tool[] = [];
    function Beside() {
      const [history, setHistory] = useState<readonly Tool[]>([TOOL]);
      const tool = history.at(-1) ?? TOOL;
      const { field } = useKept<Tool>(toolSchema, tool, (changed) => {
        kept.push(changed);
        if (keep(changed)) setHistory([...history, changed]);
        return keep(changed);
      });
      return (
        <>
          <NumberField label="Dies to" unit="mm²" {...field('range.maxMm2')} />
          <button type="button" onClick={() => setHistory([TOOL])}>
            Undo
          </button>
          <button type="button" onClick={() => kept.push({ ...tool, id: 'saved' })}>
            Save
          </button>
        </>
      );
    }
    render(<Beside />);
    return kept;
  };
  const field = () => screen.getByLabelText<HTMLInputElement>('Dies to');
  const type = async (text: string): Promise<void> => {
    await userEvent.clear(field());
    await userEvent.type(field(), text);
  };
  it('what is pressed next acts on what was typed', async () => {
    const kept = show();
    await type('10');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(kept.at(-1)).toMatchObject({ id: 'saved', range: { maxMm2: 10 } });
  });
  it('the same figure is kept again once it was taken back', async () => {
    const kept = show();
    await type('10');
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(field().value).toBe('6');
    await type('10');
    fireEvent.blur(field());
    expect(kept.map(({ range }) => range?.maxMm2)).toEqual([10, 10]);
    expect(field().value).toBe('10');
  });
  it('one that cannot be is shown as it was, and can be tried again', async () => {
    const kept = show(() => false);
    await type('10');
    await userEvent.tab();
    expect(field().value).toBe('6');
    await type('10');
    await userEvent.tab();
    expect(kept).toHaveLength(2);
    expect(field().value).toBe('6');
  });
});
