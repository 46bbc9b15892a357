/** Width of tube that a cut destroys, mm. */
export const KERF_MM = 0.5;

/**
 * How many sticks a list of pieces takes, longest first into the first stick with room. n pieces need n − 1 cuts when nothing is
 * left over, so every piece but the last of a full stick costs a kerf. Not proven least.
 * @throws RangeError when a piece is longer than a stick
 */
export function sticksNeeded(piecesMm: readonly number[], stickMm: number): number {
  const long = piecesMm.find((piece) => piece > stickMm);
  if (long !== undefined) throw new RangeError(`A piece of ${long} mm cannot be cut from sticks of ${stickMm} mm: take a longer stick.`);
  const left: number[] = [];
  for (const piece of [...piecesMm].sort((a, b) => b - a)) {
    const fits = left.findIndex((rest) => rest >= piece - 1e-9);
    const rest = (fits === -1 ? stickMm : (left[fits] ?? 0)) - piece - KERF_MM;
    if (fits === -1) left.push(rest);
    else left[fits] = rest;
  }
  return left.length;
}
