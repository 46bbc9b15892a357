import { bad, good, look, type Check } from '../../prove/index.ts';

/** A tap pressed over its wires. */
export const TAP_LOOKS: readonly Check[] = [
  look('tap.closed', 'Tap closed', 'Latched over both wires, metal down.', [
    good('Latched, both wires in'),
    bad('rework', 'open', 'Not latched', 'Not pressed home.', 'Press it home with pliers.'),
  ]),
];
