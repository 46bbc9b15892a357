/** How terminals are held in a housing, in general terms; the maker's manual comes first. */
export const LOCK_FAMILIES = [
  'frontLance',
  'rearRetainer',
  'liftedWedge',
  'slidingLock',
  'leverBlock',
  'roundInsert',
] as const;
export type LockFamily = (typeof LOCK_FAMILIES)[number];

/** How a terminal is freed and put back. */
export interface ReleaseGuide {
  readonly name: string;
  readonly steps: readonly string[];
  /** What stays in, and how far a lock lifts. */
  readonly never: string;
  readonly lift: string;
  readonly refit: string;
}

export const RELEASE_GUIDES: Record<LockFamily, ReleaseGuide> = {
  frontLance: {
    name: 'Front lance',
    steps: [
      'Note the cavity number.',
      'Push the wire gently forward to take the load off the lance.',
      'Slide a flat release tool in from the mating side, along the terminal, until the lance is pressed down.',
      'Hold the tool there and draw the wire out at the back.',
    ],
    never: 'Never pull before the lance is down: the lance tears, or the terminal stays behind.',
    lift: 'The lance moves by its own thickness only.',
    refit: 'Look at the lance: bent flat, it is lifted back before the terminal goes in.',
  },
  rearRetainer: {
    name: 'Rear retainer with plastic fingers',
    steps: [
      'Note the cavity number.',
      'Slide the right sleeve tool over the wire from the back.',
      'Push it in until it stops: the plastic fingers spread.',
      'Draw wire and tool out together.',
    ],
    never: 'Never twist the tool: the fingers break and the cavity is lost.',
    lift: 'The fingers spread by the wall of the tool.',
    refit: 'Push in straight until it clicks; tug.',
  },
  liftedWedge: {
    name: 'Lifted wedge',
    steps: [
      'Note the cavity number.',
      'Lift the wedge on the mating side to its first stop with a hook.',
      'Bend the small finger beside the terminal away from it.',
      'Draw the wire out at the back.',
    ],
    never: 'The wedge is lifted, not taken out, unless it comes out by itself at its stop.',
    lift: 'To its first stop, about the height of its own edge.',
    refit: 'With all terminals seated press the wedge home: it does not close over one that is not.',
  },
  slidingLock: {
    name: 'Sliding secondary lock with a probe hole',
    steps: [
      'Note the cavity number.',
      'Slide the secondary lock to its open place.',
      'Put the probe into the hole above the terminal and press.',
      'Draw the wire out at the back.',
    ],
    never: 'Never force the lock past its open place.',
    lift: 'One step, felt as a click.',
    refit: 'Terminal in until it clicks, then the secondary lock closed. If it does not close, one is not seated.',
  },
  leverBlock: {
    name: 'Lever-latched block with a release comb',
    steps: [
      'Note the cavity number.',
      'Swing the lever open and take the cover off.',
      'Draw the coloured comb out to its stop.',
      'Press the lance through the front with the release tool and draw the wire out.',
    ],
    never: 'The comb stays in its slot.',
    lift: 'To its stop, not beyond.',
    refit: 'Comb pressed home, cover on, lever swung shut: it does not shut on a terminal that stands out.',
  },
  roundInsert: {
    name: 'Round insert with a ring',
    steps: [
      'Note the cavity and the key.',
      'Unscrew the ring and the back shell; slide them along the wires.',
      'Put the tube tool over the pin from the mating side.',
      'Press until the pin lets go and take it out at the back.',
    ],
    never: 'Never turn the insert in its shell: the key is lost.',
    lift: 'The tube presses the clip in, nothing lifts.',
    refit: 'Pin in from the back until it clicks; seal, shell and ring in their order.',
  },
};
