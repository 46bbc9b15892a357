import { LOCK_FAMILIES, type LockFamily } from '../connector/index.ts';
import { narrow, type Answered, type KeyQuestion, type Narrowed } from './key.ts';

/** What tells the six ways in which terminals are held from each other, by looking and without taking anything apart. */
export const LOCK_KEY: readonly KeyQuestion<LockFamily>[] = [
  {
    id: 'outside',
    words: 'What does the connector look like?',
    answers: [
      {
        id: 'block',
        words: 'A block that pulls apart by a latch',
        of: ['frontLance', 'rearRetainer', 'liftedWedge', 'slidingLock'],
      },
      { id: 'lever', words: 'A block with a lever that swings over it', of: ['leverBlock', 'slidingLock'] },
      { id: 'round', words: 'Round, with a ring to turn', of: ['roundInsert', 'rearRetainer'] },
    ],
  },
  {
    id: 'piece',
    words: 'Is there a lock piece that moves?',
    hint: 'Often of another colour. Look only: it is moved later, as the card says.',
    answers: [
      { id: 'wedge', words: 'A wedge in the mating face', of: ['liftedWedge'] },
      { id: 'slide', words: 'A bar or frame that slides one step', of: ['slidingLock'] },
      { id: 'comb', words: 'A comb at the side, under a cover', of: ['leverBlock'] },
      { id: 'none', words: 'None', of: ['frontLance', 'rearRetainer', 'roundInsert'] },
    ],
  },
  {
    id: 'cavity',
    words: 'Look into a cavity from the mating side, beside the terminal',
    hint: 'With a light and a glass.',
    answers: [
      {
        id: 'slot',
        words: 'A narrow slot, in it a tongue of metal',
        of: ['frontLance', 'leverBlock', 'slidingLock'],
      },
      { id: 'finger', words: 'A finger of plastic against the terminal', of: ['liftedWedge', 'slidingLock'] },
      { id: 'smooth', words: 'Nothing: smooth all round', of: ['rearRetainer', 'roundInsert'] },
    ],
  },
  {
    id: 'shell',
    words: 'Behind the ring, where the wires go in',
    answers: [
      { id: 'shell', words: 'A back shell that unscrews; an insert with a key lies in it', of: ['roundInsert'] },
      {
        id: 'onePiece',
        words: 'One piece: the wires go straight into it',
        of: ['frontLance', 'rearRetainer', 'liftedWedge', 'slidingLock', 'leverBlock'],
      },
    ],
  },
];

/** Which of the six it may be, and what to look at next. */
export const whichLock = (answered: Answered): Narrowed<LockFamily> => narrow(LOCK_KEY, LOCK_FAMILIES, answered);
