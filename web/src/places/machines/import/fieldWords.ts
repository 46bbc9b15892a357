import type { PinoutField } from '@mendum/core';

/** What a column holds, in words. */
export const FIELD_WORDS: Record<PinoutField, string> = {
  number: 'Circuit number', function: 'Function', kind: 'Kind of circuit', from: 'From: connector and cavity', fromConnector: 'From: connector', fromCavity: 'From: cavity', to: 'To: connector and cavity', toConnector: 'To: connector', toCavity: 'To: cavity',
  size: 'Wire size', sizeMm2: 'Wire size in mm²', sizeAwg: 'Wire size, gauge', colour: 'Colour', stripe: 'Stripe colour', conductor: 'Stranded or solid', strands: 'Number of strands', jacket: 'Jacket', wall: 'Jacket wall', outerDiameter: 'Outer diameter, mm',
  fuse: 'Fuse', load: 'Load current', pair: 'Twisted with', runs: 'Runs', fromTerminal: 'From: terminal', fromSeal: 'From: seal', toTerminal: 'To: terminal', toSeal: 'To: seal',
};
