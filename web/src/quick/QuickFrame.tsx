import type { ReactNode } from 'react';
import { Place } from '../places/Place.tsx';
import { Button } from '../ui/button.tsx';
import { InHand } from './InHand.tsx';

interface QuickFrameProps {
  /** What is enough to begin with: "A wire". */
  readonly enough: string;
  readonly isEmpty: boolean;
  readonly onStartOver: () => void;
  readonly children: ReactNode;
}

/** The frame of a quick repair, whatever is in the hand. */
export function QuickFrame({ enough, isEmpty, onStartOver, children }: QuickFrameProps) {
  return (
    <Place
      title="Quick repair"
      about={`${enough} in the hand is enough. What you learn later goes into the same record.`}
      actions={
        isEmpty ? null : (
          <Button look="quiet" onClick={onStartOver}>
            Start over
          </Button>
        )
      }
    >
      <InHand />
      {children}
    </Place>
  );
}
