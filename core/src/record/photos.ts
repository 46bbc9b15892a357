import type { PhotoTaken, RecordPhoto } from './types.ts';

/** When something of a finding was ticked, and when it was read; ISO. */
export interface WorkedAt {
  readonly ticked: readonly string[];
  readonly read: readonly string[];
}

/**
 * Whether a photo was taken before the work. A tick or a reading before it shows that work had begun; that it had not
 * is known only where steps were ticked, since work without ticks may have begun at any time.
 */
export const takenWhen = (at: string, { ticked, read }: WorkedAt): PhotoTaken | undefined =>
  [...ticked, ...read].some((work) => work <= at) ? 'after' : ticked.length > 0 ? 'before' : undefined;

/** What stands under a photo. */
export const TAKEN_WORDS: { readonly [T in PhotoTaken]: string } = {
  before: 'Before the first step',
  after: 'Once work had begun',
};

/** A photo as it is kept, as far as its record goes. */
export interface KeptPhoto {
  readonly id: string;
  readonly findingId: string;
  readonly at: string;
}

/** The photos of a finding, the first taken first. */
export const photosOf = (photos: readonly KeptPhoto[], findingId: string, worked: WorkedAt): readonly RecordPhoto[] =>
  photos
    .filter((photo) => photo.findingId === findingId)
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .map(({ id, at }) => {
      const when = takenWhen(at, worked);
      return when === undefined ? { id } : { id, when };
    });
