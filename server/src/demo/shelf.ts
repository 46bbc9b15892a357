import { GENERIC_PARTS, GENERIC_TOOLS, type Catalogue, type ColourName } from '@mendum/core';
import { dayFrom, wire } from './parts.ts';

/** Pieces, sticks and rolls at Tarnbeck Works; whatever is not named is not there. */
const QUANTITIES: Readonly<Record<string, number>> = {
  'sealedButt-small': 24, 'sealedButt-middle': 9, 'sealedButt-large': 6, 'sealedButt-extra small': 10,
  'plainButt-small': 40, 'plainButt-middle': 40, 'plainButt-large': 12,
  'clip-S': 30, 'clip-M': 30, 'clip-L': 20, 'clip-XL': 10,
  'sleeve-adhesive3to1-3': 4, 'sleeve-adhesive3to1-4.8': 4, 'sleeve-adhesive3to1-6': 3, 'sleeve-adhesive3to1-9': 2, 'sleeve-adhesive3to1-12': 2, 'sleeve-adhesive4to1-4': 2, 'sleeve-adhesive4to1-8': 2,
  'sleeve-single2to1-4.8': 2, 'tape-selfFusing': 2, 'tape-cloth': 3, 'solder-tinLead': 1, 'solder-leadFree': 1,
};

const reel = (id: string, areaMm2: number, lengthMm: number, base: ColourName, stripe?: ColourName): Catalogue['wires'][number] => ({ id, wire: wire(areaMm2, base, stripe), lengthMm });

/** The shelf of the demo's workshop: ratchet tools in calibration, wire in some of the harness's colours. */
export const tarnbeckShelf = (today: Date): Catalogue => ({
  id: 'tarnbeck', version: 1, name: 'Tarnbeck Works shelf',
  parts: GENERIC_PARTS.map((part) => ({ ...part, quantity: QUANTITIES[part.id] ?? 0 })),
  tools: GENERIC_TOOLS.map((tool) => (tool.ratchet ? { ...tool, calibratedUntil: dayFrom(today, 120) } : tool)),
  wires: [
    reel('reel-2.5-red-black', 2.5, 4200, 'red', 'black'), reel('reel-2.5-red', 2.5, 6000, 'red'), reel('reel-0.5-green-yellow', 0.5, 3000, 'green', 'yellow'),
    reel('reel-0.5-yellow-green', 0.5, 3000, 'yellow', 'green'), reel('reel-0.5-green', 0.5, 2500, 'green'), reel('reel-0.75-white', 0.75, 8000, 'white'), reel('reel-1-grey', 1, 5000, 'grey'),
    reel('reel-1.5-white', 1.5, 5000, 'white'), reel('reel-4-black', 4, 3000, 'black'), reel('reel-4-red', 4, 3000, 'red'),
  ],
});
