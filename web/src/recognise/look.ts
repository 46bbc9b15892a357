/** A drawing to tap, with its words under it. */
export const TILE =
  'flex min-h-28 flex-col items-center justify-start gap-2 rounded-sm border-2 border-rule px-2 py-3 text-center text-lg leading-tight hover:bg-wash';
