import { useState } from 'react';
import { Camera } from 'lucide-react';
import type { CavityMark, FacePhoto, FacePhotoSaid } from '@mendum/core/operations';
import { useAddFacePhotoMutation, useFacePhotosQuery } from '../app/api.ts';
import { useSave } from '../app/change.ts';
import { keep, recall } from '../app/kept.ts';
import { notify } from '../app/notice.ts';
import { chosenFiles, usePhotoSender } from '../app/photoSender.ts';
import { useMay } from '../app/session.ts';
import { Button } from '../ui/button.tsx';
import { MarkedPhoto } from './MarkedPhoto.tsx';
import { marked, nextToMark, unmarked } from './marks.ts';

interface FacePhotosProps {
  readonly harnessId: string;
  readonly nodeId: string;
  readonly cavities: readonly string[];
  readonly side: FacePhoto['side'];
  readonly picked: string | undefined;
  readonly onPick: (cavity: string) => void;
}

const isMark = (one: unknown, cavities: readonly string[]): one is CavityMark => {
  const { cavity, x, y } = (one ?? {}) as Partial<CavityMark>;
  return [x, y].every((part) => typeof part === 'number' && part >= 0 && part <= 1) && cavities.includes(cavity ?? '');
};

/** Marks that are being set: this device keeps them until they are saved or given up, for the version that was seen. */
function useKeptMarks({ id, version }: FacePhoto, cavities: readonly string[]) {
  const key = `mendum.marks.${id}.${version}`;
  const [marks, setMarks] = useState(() => {
    const kept = recall(key);
    return Array.isArray(kept) && kept.every((one) => isMark(one, cavities)) ? kept : undefined;
  });
  const set = (now: readonly CavityMark[] | undefined): void => {
    keep(key, now);
    setMarks(now && [...now]);
  };
  return [marks, set] as const;
}

/** One photo beside the face: its marks are looked at, or set one after the other. */
function OnePhoto({
  photo,
  cavities,
  picked,
  onPick,
  onSave,
}: Pick<FacePhotosProps, 'cavities' | 'picked' | 'onPick'> & {
  readonly photo: FacePhoto;
  /** None where photos are only looked at. */
  readonly onSave: ((said: FacePhotoSaid) => Promise<boolean>) | undefined;
}) {
  const [marks, setMarks] = useKeptMarks(photo, cavities);
  const [next, setNext] = useState(marks && nextToMark(cavities, marks, undefined));
  const shown = marks ?? photo.marks;
  const isMarking = marks !== undefined;
  const start = (): void => {
    setMarks(photo.marks);
    setNext(picked ?? nextToMark(cavities, photo.marks, undefined));
  };
  const set = (cavity: string, at: { readonly x: number; readonly y: number }): void => {
    const now = marked(shown, cavity, at);
    setMarks(now);
    // A mark that an arrow key moves stays the one that is set.
    if (!shown.some((mark) => mark.cavity === cavity)) setNext(nextToMark(cavities, now, cavity) ?? cavity);
  };
  const save = async (): Promise<void> => {
    if (await onSave?.({ side: photo.side, marks: shown, removed: false })) setMarks(undefined);
  };
  const remove = async (): Promise<void> => {
    const said = { side: photo.side, marks: photo.marks };
    await onSave?.({ ...said, removed: true });
  };
  return (
    <div className="grid gap-2">
      <p className="text-lg font-semibold">
        Photo, {photo.side} side{' '}
        <span className="font-normal text-soft">
          by {photo.by}; {shown.length} of {cavities.length} marked
        </span>
      </p>
      <MarkedPhoto
        photo={photo}
        marks={shown}
        picked={picked}
        onPick={isMarking ? setNext : onPick}
        marking={isMarking ? next : undefined}
        onMark={set}
      />
      {isMarking && next !== undefined ? (
        <p role="status" className="text-lg">
          Tap cavity <b className="figure">{next}</b> on the photo. Arrow keys move a mark.
        </p>
      ) : null}
      {onSave ? (
        <div className="no-print flex flex-wrap gap-3">
          {isMarking ? (
            <>
              <Button look="copper" onClick={() => void save()}>
                Keep the marks
              </Button>
              <Button disabled={next === undefined} onClick={() => setNext(nextToMark(cavities, shown, next) ?? next)}>
                Skip
              </Button>
              <Button
                disabled={!shown.some((mark) => mark.cavity === next)}
                onClick={() => next !== undefined && setMarks(unmarked(shown, next))}
              >
                Take mark {next} away
              </Button>
              <Button onClick={() => setMarks(undefined)}>Cancel</Button>
            </>
          ) : (
            <>
              <Button onClick={start}>Mark its cavities</Button>
              <Button
                look="quiet"
                onClick={() =>
                  void onSave({
                    side: photo.side === 'wire' ? 'mating' : 'wire',
                    marks: photo.marks,
                    removed: false,
                  })
                }
              >
                It shows the {photo.side === 'wire' ? 'mating' : 'wire'} side
              </Button>
              <Button look="scrap" onClick={() => void remove()}>
                Remove it
              </Button>
            </>
          )}
        </div>
      ) : null}
    </div>
  );
}

/** Photos that lie beside the face of a connector. */
export function FacePhotos({ harnessId, nodeId, cavities, side, picked, onPick }: FacePhotosProps) {
  const may = useMay('setFacePhoto');
  const { data: photos = [] } = useFacePhotosQuery({ harnessId, nodeId });
  const [addPhoto] = useAddFacePhotoMutation();
  const { sending, send } = usePhotoSender((photo) => addPhoto({ harnessId, nodeId, side, ...photo }));
  const { save } = useSave();
  const saving =
    (photo: FacePhoto) =>
    async (said: FacePhotoSaid): Promise<boolean> => {
      const at = { harnessId, nodeId, photoId: photo.id };
      const outcome = await save('setFacePhoto', { ...at, version: photo.version, ...said });
      if (outcome.ok && said.removed)
        notify('Photo removed', {
          undo: () => void save('setFacePhoto', { ...at, version: photo.version + 1, ...said, removed: false }),
        });
      return outcome.ok;
    };
  if (photos.length === 0 && !may) return null;
  return (
    <section aria-label="Photos of the face" className="grid gap-4 border-t border-rule pt-3">
      <div className="grid items-start gap-5 lg:grid-cols-2">
        {photos.map((photo) => (
          <OnePhoto
            key={photo.id}
            photo={photo}
            cavities={cavities}
            picked={picked}
            onPick={onPick}
            onSave={may ? saving(photo) : undefined}
          />
        ))}
      </div>
      {may ? (
        <label className="no-print inline-flex min-h-11 w-fit cursor-pointer items-center gap-2 text-lg underline underline-offset-4 focus-within:outline-3 focus-within:outline-copper">
          <Camera size={20} aria-hidden />
          {sending === undefined ? `Lay a photo of the ${side} side beside it` : `Sending ${sending}`}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            multiple
            className="sr-only"
            disabled={sending !== undefined}
            onChange={(event) => void send(chosenFiles(event))}
          />
        </label>
      ) : null}
    </section>
  );
}
