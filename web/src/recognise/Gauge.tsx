import type { ReactNode } from 'react';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { SET_ABOUT, SET_TITLE, SetTrueSize, useTrueSize } from '../ui/trueSize.tsx';

/** What is held against the screen, and how it is drawn there. */
export type Drawn = 'thickness' | 'disc' | 'length';

/** One size to hold a thing against. */
export interface GaugeLine<V> {
  readonly value: V;
  readonly mm: number;
  readonly words: string;
  readonly about: string;
}

/** One size at true size: as thick, as wide or as long as the thing. */
export function TrueShape({
  drawn,
  px,
  colour,
}: {
  readonly drawn: Drawn;
  readonly px: number;
  readonly colour: string;
}) {
  if (drawn === 'thickness')
    return <span className="block w-full" style={{ height: px, background: colour }} aria-hidden />;
  const height = drawn === 'disc' ? px : 14;
  const radius = drawn === 'disc' ? '50%' : 0;
  return (
    <span
      className="block justify-self-center"
      style={{ width: px, height, background: colour, borderRadius: radius }}
      aria-hidden
    />
  );
}

/** All sizes under each other; the one that the thing just covers is tapped. */
export function GaugeLines<V>({
  lines,
  drawn,
  colour,
  pxPerMm,
  onPick,
}: {
  readonly lines: readonly GaugeLine<V>[];
  readonly drawn: Drawn;
  readonly colour: string;
  readonly pxPerMm: number;
  readonly onPick: (value: V) => void;
}) {
  return lines.map(({ value, mm, words, about }) => (
    <button
      key={words}
      type="button"
      onClick={() => onPick(value)}
      className="grid min-h-12 grid-cols-[1fr_8rem] items-center gap-4 rounded-sm border border-rule px-3 py-1 hover:bg-wash"
    >
      <TrueShape drawn={drawn} px={mm * pxPerMm} colour={colour} />
      <span className="text-left">
        <span className="figure text-lg">{words}</span>
        <span className="block text-sm text-soft">{about}</span>
      </span>
    </button>
  ));
}

/** A gauge on the screen: first the screen is set, once, then things are held against it. */
export function GaugeDialog({
  title,
  about,
  onClose,
  children,
}: {
  readonly title: string;
  readonly about: string;
  readonly onClose: () => void;
  readonly children: (pxPerMm: number) => ReactNode;
}) {
  const { pxPerMm, set } = useTrueSize();
  return (
    <Dialog
      open
      onClose={onClose}
      title={pxPerMm === undefined ? SET_TITLE : title}
      about={pxPerMm === undefined ? SET_ABOUT : about}
    >
      {pxPerMm === undefined ? (
        <SetTrueSize onSet={set} />
      ) : (
        <div className="grid gap-3">
          {children(pxPerMm)}
          <Button onClick={() => set(undefined)}>Set the screen again</Button>
        </div>
      )}
    </Dialog>
  );
}
