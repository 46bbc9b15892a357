import type { FaceDraft } from './faceDraft.ts';

/** A part of a face's form: what is typed, and how it is changed. */
export interface FaceFields {
  readonly draft: FaceDraft;
  readonly set: (part: Partial<FaceDraft>) => void;
}
