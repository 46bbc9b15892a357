import type { RecordPhoto } from './types.ts';

/** Whether a photo was taken before the work: before anything of it was ticked. @param workAt when it was, ISO */
export const takenWhen = (at: string, workAt: readonly string[]): RecordPhoto['when'] =>
  workAt.some((work) => work <= at) ? 'after' : 'before';

/** A photo as it is kept, as far as its record goes. */
export interface KeptPhoto {
  readonly id: string;
  readonly findingId: string;
  readonly at: string;
}

/** The photos of a finding, the first taken first. @param workAt when something of it was ticked, ISO */
export const photosOf = (
  photos: readonly KeptPhoto[],
  findingId: string,
  workAt: readonly string[],
): readonly RecordPhoto[] =>
  photos
    .filter((photo) => photo.findingId === findingId)
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .map(({ id, at }) => ({ id, when: takenWhen(at, workAt) }));
