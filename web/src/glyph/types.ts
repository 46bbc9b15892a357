import type { ReactNode } from 'react';
import type { SizedJoint } from '@mendum/core/family';
import type { WireColour } from '@mendum/core/wire';

/** The sheet on which a joint is drawn cut open: its width, its middle, and the height of the wire. */
export const JOINT = { wide: 700, middle: 350, y: 62 } as const;

/** How the joints of a family are drawn, wherever they are. */
export interface Glyph {
  /** Small, on a splice's body along the run: its middle, how wide and how high. */
  readonly mark: (box: {
    readonly x: number;
    readonly y: number;
    readonly wide: number;
    readonly high: number;
  }) => ReactNode;
  /** Cut open, to scale: half of the body and half of the joint. */
  readonly inside: (half: { readonly half: number; readonly jointHalf: number }) => ReactNode;
  /** Where it is crimped in that drawing. */
  readonly crimpsAt: (joint: SizedJoint, jointHalf: number, scale: number) => readonly number[];
  /** A step in which it is crimped; absent where nothing is. */
  readonly crimpStep?: (step: {
    readonly colour: WireColour;
    readonly key: string;
    readonly length: string | undefined;
    /** Its seal is on it already. */
    readonly sealedBefore: boolean;
  }) => ReactNode;
  /** How it looks, good and bad, by check and answer: "barrel.crimp rim". */
  readonly looks: Readonly<Record<string, ReactNode>>;
}
