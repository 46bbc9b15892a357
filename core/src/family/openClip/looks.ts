import { bad, CUT_OUT, good, look, type Check } from '../../prove/index.ts';

/** A clip closed round its wires. */
export const CLIP_LOOKS: readonly Check[] = [
  look('clip.crimp', 'Conductor crimp', 'Strands just visible past the barrel, none outside.', [
    good('Brush visible at both ends, every strand inside'),
    bad(
      'scrap',
      'strand',
      'A strand is outside',
      'Strands left outside carry nothing and pierce the sleeve.',
      `Roll the strands once in a glove. ${CUT_OUT}`,
    ),
    bad(
      'scrap',
      'flash',
      'Metal squeezed out beside or below',
      'Die too small or too far closed.',
      `Change the setting before the next one. ${CUT_OUT}`,
    ),
    bad('scrap', 'noBrush', 'No brush at one end', 'The wire did not reach through.', CUT_OUT),
  ]),
];
