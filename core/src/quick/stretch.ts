import { NOT_MEASURED_MM, type Circuit, type Harness } from '../harness/index.ts';
import { capital } from '../units/index.ts';
import { colourInWords, USUAL_CONDUCTOR, USUAL_JACKET, type WireColour, type WireSize } from '../wire/index.ts';
import { placeFacts, type QuickPlace } from './places.ts';

/** A stretch of harness that somebody has opened: what its two ends are called, and the wires in it as they are seen. */
export interface OpenedStretch {
  readonly ends: readonly [string, string];
  /** From end to end, mm; none where nobody has measured it. */
  readonly lengthMm?: number | undefined;
  readonly place: QuickPlace;
  readonly wires: readonly { readonly colour: WireColour; readonly size: WireSize }[];
}

/**
 * The harness of an opened stretch. Its ends are places and no connectors yet: in which cavity a wire ends is never made
 * up, so each has a place of its own number until somebody says which connector lies there.
 */
export function stretchHarness({ ends: [from, to], lengthMm, place, wires }: OpenedStretch): Omit<Harness, 'id'> {
  return {
    name: `${from} to ${to}`,
    nodes: [
      { id: 'A', kind: 'end', name: from },
      { id: 'B', kind: 'end', name: to },
    ],
    runs: [
      {
        id: 'R1',
        name: 'Opened stretch',
        fromNodeId: 'A',
        toNodeId: 'B',
        ...(lengthMm === undefined ? { lengthMm: NOT_MEASURED_MM, atLeast: true } : { lengthMm }),
        zone: placeFacts(place).zone,
        features: [],
      },
    ],
    circuits: wires.map(({ colour, size }, index): Circuit => {
      const number = String(index + 1);
      return {
        id: `C${number}`,
        number,
        function: `${capital(colourInWords(colour))} wire`,
        kind: 'power',
        wire: { size, conductor: USUAL_CONDUCTOR, jacket: USUAL_JACKET, colour },
        from: { nodeId: 'A', cavity: number },
        to: { nodeId: 'B', cavity: number },
        runIds: ['R1'],
      };
    }),
  };
}
