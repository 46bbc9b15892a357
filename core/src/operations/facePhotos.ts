import type { FaceSide } from '../connector/index.ts';

/** Where a cavity is on a photo of its face: parts of the width from the left and of the height from the top, 0 to 1. */
export interface CavityMark {
  readonly cavity: string;
  readonly x: number;
  readonly y: number;
}

/** A photo that lies beside the face of a connector, with its cavities marked as far as somebody has. */
export interface FacePhoto {
  readonly id: string;
  readonly version: number;
  readonly side: FaceSide;
  readonly name: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly marks: readonly CavityMark[];
  readonly by: string;
  readonly at: string;
}

/** What may be said anew of a photo of a face. */
export interface FacePhotoSaid {
  readonly side: FaceSide;
  readonly marks: readonly CavityMark[];
  readonly removed: boolean;
}
