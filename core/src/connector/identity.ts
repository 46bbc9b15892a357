/** How the two halves of a connector are held together. */
export const LATCHES = ['latch', 'lever', 'slide', 'screw', 'thread', 'bayonet', 'none'] as const;
export type Latch = (typeof LATCHES)[number];

/** What a latch is called, and how it is opened. */
export const LATCH_WORDS: Readonly<Record<Latch, { readonly name: string; readonly opens: string }>> = {
  latch: { name: 'latch to press', opens: 'Press the latch and pull the housings, never the wires.' },
  lever: { name: 'lever', opens: 'Swing the lever all the way over: it pushes the halves apart.' },
  slide: { name: 'slide lock', opens: 'Slide the lock back until it stops, then press and pull.' },
  screw: { name: 'screw', opens: 'Loosen the screw all the way: it draws the halves apart.' },
  thread: { name: 'threaded ring', opens: 'Unscrew the ring by hand, then pull straight.' },
  bayonet: { name: 'bayonet ring', opens: 'Turn the ring until it comes free, then pull straight.' },
  none: { name: 'nothing but friction', opens: 'Pull the housings straight apart, never by the wires.' },
};

/** What a connector is, as it is moulded and printed on it; all of it may be unknown. */
export interface ConnectorIdentity {
  /** The family that its maker, or the shop, knows it by: parts fit by family. */
  readonly family?: string | undefined;
  readonly partNumber?: string | undefined;
  /** Ribs or a colour that keep it out of a mate of the same family. */
  readonly keying?: string | undefined;
  readonly latch?: Latch | undefined;
  /** The other half: what it plugs into, and that one's part number. */
  readonly mate?: string | undefined;
  readonly mateNumber?: string | undefined;
  readonly releaseTool?: string | undefined;
  readonly releaseToolNumber?: string | undefined;
  /** Its back cap outside, over which a sleeve has to go, mm. */
  readonly capMm?: number | undefined;
}

/** The words of an identity that are written as they stand on the connector. */
export const IDENTITY_TEXTS = {
  family: 'Family',
  partNumber: 'Part number',
  keying: 'Keying',
  mate: 'Plugs into',
  mateNumber: 'Part number of the mate',
  releaseTool: 'Release tool',
  releaseToolNumber: 'Number of the release tool',
} as const satisfies Partial<Record<keyof ConnectorIdentity, string>>;
export type IdentityText = keyof typeof IDENTITY_TEXTS;

const bare = (words: string): string => words.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, '');

/** Whether two names or numbers are one: "kd 4-b" and "KD4B" are. Case, spaces and punctuation decide nothing. */
export const isSameName = (one: string, other: string): boolean => bare(one) === bare(other);

/** Whether two names agree: none where either is not known. */
export const namesAgree = (one: string | undefined, other: string | undefined): boolean | undefined =>
  one === undefined || other === undefined ? undefined : isSameName(one, other);

/** "Release tool RT-20, 4711"; nothing where neither is known. */
export function releaseToolInWords({ releaseTool, releaseToolNumber }: ConnectorIdentity): string | undefined {
  if (releaseTool === undefined && releaseToolNumber === undefined) return undefined;
  return [releaseTool ?? 'Release tool', releaseToolNumber].filter((word) => word !== undefined).join(', ');
}

/** "family KD, keying B, KD-4-112": what is known, in the order in which a part is looked for. */
export const identityInWords = ({ family, keying, partNumber }: ConnectorIdentity): string =>
  [family && `family ${family}`, keying && `keying ${keying}`, partNumber].filter(Boolean).join(', ');
