import { useState } from 'react';
import { terminalInWords, type TerminalFamily } from '@mendum/core/harness';
import { familyAt, gaugeOf, whichShape, type Measured, type TerminalShape } from '@mendum/core/recognise';
import { capital, figure } from '@mendum/core/units';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { NumberField } from '../ui/field.tsx';
import { numberOf } from '../ui/typed.ts';
import { GaugeDialog, GaugeLines, type Drawn } from './Gauge.tsx';
import { KeyQuestions } from './KeyQuestions.tsx';
import { TERMINAL_PICTURES } from './terminalPictures.tsx';

const SHAPES: Readonly<Record<TerminalShape, { readonly words: string; readonly picture: string }>> = {
  flat: { words: 'A flat terminal in a housing', picture: 'contact.flat' },
  pin: { words: 'A round pin in a housing', picture: 'contact.round' },
  ring: { words: 'A ring', picture: 'barrel.thin' },
  fork: { words: 'A fork', picture: 'end.open' },
  blade: { words: 'A blade, pushed onto a tab', picture: 'end.folded' },
  bullet: { words: 'A bullet', picture: 'end.roundEnd' },
  ferrule: { words: 'A ferrule', picture: 'end.tube' },
  lug: { words: 'A lug', picture: 'barrel.thick' },
};

/** How each measure is taken: on the screen, and with a calliper. */
const TAKEN: Readonly<Record<Measured, { readonly drawn: Drawn; readonly hold: string; readonly typed: string }>> = {
  width: {
    drawn: 'thickness',
    hold: 'Lay the male tab along a bar. Tap the one that it just covers.',
    typed: 'Width of the tab',
  },
  diameter: {
    drawn: 'thickness',
    hold: 'Lay the pin along a bar. Tap the one that it just covers.',
    typed: 'Diameter',
  },
  stud: {
    drawn: 'disc',
    hold: 'Lay the hole over a disc. Tap the largest that shows whole, with a hair of white round it.',
    typed: 'Width of the hole',
  },
  length: { drawn: 'length', hold: 'Lay its metal tube along a bar.', typed: 'Length of the metal tube' },
};

/** The family by its measure, held against the screen or typed from a calliper. */
function Size({
  shape,
  onPick,
  onClose,
}: {
  readonly shape: TerminalShape;
  readonly onPick: (family: TerminalFamily) => void;
  readonly onClose: () => void;
}) {
  const [typed, setTyped] = useState('');
  const { measured, sizes } = gaugeOf(shape);
  const { drawn, hold, typed: label } = TAKEN[measured];
  const again = shape === 'flat' || shape === 'pin' ? 'at the male half' : 'at its narrowest';
  const mm = numberOf(typed);
  const found = mm > 0 ? familyAt(shape, mm) : undefined;
  const near = found && !('is' in found) ? [found.below, found.above].filter((one) => one !== undefined) : [];
  const lines = sizes.map(({ family, mm: size }) => ({
    value: family,
    mm: size,
    words: capital(terminalInWords(family)),
    about: measured === 'stud' ? `stud ${figure(size, 0)} mm` : `${figure(size, 2)} mm`,
  }));
  return (
    <GaugeDialog title="Which size is it?" about={`True size. ${hold}`} onClose={onClose}>
      {(pxPerMm) => (
        <>
          <GaugeLines lines={lines} drawn={drawn} colour="var(--ink)" pxPerMm={pxPerMm} onPick={onPick} />
          <div className="grid gap-2 border-t border-rule pt-3">
            <NumberField
              label={`Or by calliper: ${label.toLowerCase()}`}
              unit="mm"
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
            />
            {found && 'is' in found ? (
              <Button look="copper" onClick={() => onPick(found.is)}>
                Take {terminalInWords(found.is)}
              </Button>
            ) : null}
            {near.length > 0 ? (
              <p role="status">
                {figure(mm, 2)} mm is {near.length === 2 ? 'between' : 'beyond'}{' '}
                {near.map(terminalInWords).join(' and ')}: measure again, {again}.
              </p>
            ) : null}
          </div>
        </>
      )}
    </GaugeDialog>
  );
}

interface WhichTerminalProps {
  readonly onPick: (family: TerminalFamily) => void;
  readonly onClose: () => void;
}

/** Which family a terminal is of: its shape by looking, then its size by a gauge on the screen or a calliper. */
export function WhichTerminal({ onPick, onClose }: WhichTerminalProps) {
  const [shape, setShape] = useState<TerminalShape>();
  if (shape !== undefined) return <Size shape={shape} onPick={onPick} onClose={onClose} />;
  return (
    <Dialog
      open
      shape="wide"
      onClose={onClose}
      title="Which terminal is it?"
      about="Two or three looks, then its size."
    >
      <KeyQuestions
        ask={whichShape}
        pictures={TERMINAL_PICTURES}
        take="Find its size"
        said={(one) => SHAPES[one]}
        onPick={setShape}
      />
    </Dialog>
  );
}
