import { useRef, type KeyboardEvent, type MouseEvent } from 'react';
import clsx from 'clsx';
import type { CavityMark, FacePhoto } from '@mendum/core/operations';
import { movedByKey, type Spot } from './marks.ts';

interface MarkedPhotoProps {
  readonly photo: FacePhoto;
  readonly marks: readonly CavityMark[];
  readonly picked: string | undefined;
  readonly onPick: (cavity: string) => void;
  /** The cavity that the next tap marks; nothing while nothing is marked. */
  readonly marking: string | undefined;
  readonly onMark: (cavity: string, at: Spot) => void;
}

/** A photo of a face with its marks; a tap on one picks that cavity, or sets the mark that is to be set. */
export function MarkedPhoto({ photo, marks, picked, onPick, marking, onMark }: MarkedPhotoProps) {
  const frame = useRef<HTMLDivElement>(null);
  const place = (event: MouseEvent): void => {
    if (marking === undefined) return;
    const box = frame.current?.getBoundingClientRect();
    // A key presses it in no place: the mark begins in the middle, and arrow keys move it.
    if (event.detail === 0 || !box) onMark(marking, { x: 0.5, y: 0.5 });
    else onMark(marking, { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
  };
  const move = (mark: CavityMark) => (event: KeyboardEvent) => {
    const to = marking === undefined ? undefined : movedByKey(mark, event.key);
    if (!to) return;
    event.preventDefault();
    onMark(mark.cavity, to);
  };
  return (
    <div ref={frame} className="relative w-fit overflow-hidden rounded-sm border border-soft">
      <img
        src={`/api/facePhotos/${photo.id}`}
        width={photo.widthPx}
        height={photo.heightPx}
        alt={`${photo.name}, ${photo.side} side`}
        className="block h-auto max-h-[60dvh] w-auto max-w-full"
      />
      {marking === undefined ? null : (
        <button
          type="button"
          className="absolute inset-0 cursor-crosshair"
          aria-label={`Mark cavity ${marking}`}
          onClick={place}
        />
      )}
      {marks.map((mark) => (
        <button
          key={mark.cavity}
          type="button"
          aria-label={`Cavity ${mark.cavity} on the photo`}
          aria-pressed={mark.cavity === picked}
          className={clsx(
            'figure absolute grid h-8 min-w-8 -translate-x-1/2 -translate-y-1/2 place-items-center rounded-full border-2 px-1 text-base font-bold',
            mark.cavity === picked || mark.cavity === marking
              ? 'z-10 border-white bg-[#a8541f] text-white ring-4 ring-[#a8541f]'
              : 'border-[#1d2021] bg-white/90 text-[#1d2021]',
          )}
          style={{ left: `${mark.x * 100}%`, top: `${mark.y * 100}%` }}
          onClick={() => onPick(mark.cavity)}
          onKeyDown={move(mark)}
        >
          {mark.cavity}
        </button>
      ))}
    </div>
  );
}
