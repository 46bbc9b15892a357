import { useState } from 'react';
import { Camera } from 'lucide-react';
import type { PhotoView } from '@mendum/core/operations';
import { useAddPhotoMutation } from '../../app/api.ts';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { chosenFiles, usePhotoSender } from '../../app/photoSender.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';

/** The photos of a finding as thumbnails, and the way to attach one. */
export function Photos({
  jobId,
  findingId,
  photos,
  circuit,
  locked,
}: {
  readonly jobId: string;
  readonly findingId: string;
  readonly photos: readonly PhotoView[];
  readonly circuit: string;
  readonly locked: boolean;
}) {
  const [addPhoto] = useAddPhotoMutation();
  const { sending, send } = usePhotoSender((photo) => addPhoto({ jobId, findingId, ...photo }));
  const { save } = useSave();
  const [open, setOpen] = useState<PhotoView>();
  const own = photos.filter((photo) => photo.findingId === findingId);
  const remove = async (photo: PhotoView): Promise<void> => {
    setOpen(undefined);
    const at = { jobId, photoId: photo.id };
    const outcome = await save('keepPhoto', { ...at, removed: true });
    if (outcome.ok) notify('Photo removed', { undo: () => void save('keepPhoto', { ...at, removed: false }) });
  };
  return (
    <span className="flex flex-wrap items-center justify-end gap-1.5" onClick={(event) => event.stopPropagation()}>
      {own.map((photo, index) => (
        <button
          key={photo.id}
          type="button"
          className="size-11 overflow-hidden rounded-sm border border-soft"
          aria-label={`Photo ${index + 1} of circuit ${circuit}, ${photo.name}`}
          onClick={() => setOpen(photo)}
        >
          <img src={`/api/photos/${photo.id}/small`} alt="" className="size-full object-cover" />
        </button>
      ))}
      {locked ? null : (
        <label
          className="inline-flex size-11 cursor-pointer items-center justify-center rounded-sm hover:bg-wash focus-within:outline-3 focus-within:outline-copper"
          title="Attach a photo"
        >
          {sending === undefined ? <Camera size={20} aria-hidden /> : <span className="text-sm">{sending}</span>}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            multiple
            className="sr-only"
            disabled={sending !== undefined}
            aria-label={`Attach photos to the finding on circuit ${circuit}`}
            onChange={(event) => void send(chosenFiles(event))}
          />
        </label>
      )}
      <Dialog
        shape="wide"
        open={open !== undefined}
        onClose={() => setOpen(undefined)}
        title={`Circuit ${circuit}: ${open?.name ?? ''}`}
        about={open ? `By ${open.by}, ${open.widthPx} × ${open.heightPx}; where it was taken is not kept.` : undefined}
      >
        {open ? (
          <div className="grid gap-4">
            <img
              src={`/api/photos/${open.id}`}
              alt={`What was found on circuit ${circuit}`}
              className="mx-auto max-h-[64dvh] max-w-full"
            />
            {locked ? null : (
              <Button look="scrap" className="justify-self-start" onClick={() => void remove(open)}>
                Remove it
              </Button>
            )}
          </div>
        ) : null}
      </Dialog>
    </span>
  );
}
