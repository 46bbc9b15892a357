import { useState, type ChangeEvent } from 'react';
import { Camera } from 'lucide-react';
import { v4 as uuid } from 'uuid';
import type { ErrorBody, PhotoView } from '@mendum/core/operations';
import { useAddPhotoMutation } from '../../app/api.ts';
import { showError, useSave } from '../../app/change.ts';
import { errorOf } from '../../app/errors.ts';
import { notify } from '../../app/notice.ts';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';

/** Largest photo that is sent, bytes; the server takes no more either. */
const PHOTO_MOST = 10_000_000;

/** Sends photos one after the other, each under its own id; says what was refused. */
function usePhotoSender(
  jobId: string,
  findingId: string,
): { readonly sending: string | undefined; readonly send: (files: readonly File[]) => Promise<void> } {
  const [addPhoto] = useAddPhotoMutation();
  const person = useAppSelector((state) => state.view.person) ?? '';
  const [sending, setSending] = useState<string>();
  const sendOne = async (file: File): Promise<ErrorBody['error'] | undefined> => {
    if (file.size === 0 || file.size > PHOTO_MOST)
      return {
        code: 'PHOTO_REFUSED',
        message: `${file.name} has ${(file.size / 1e6).toFixed(1)} MB.`,
        hint: `A photo has up to ${PHOTO_MOST / 1e6} MB.`,
      };
    const name = file.name.slice(0, 120);
    const sent = await addPhoto({ jobId, findingId, name, file, writeId: uuid(), by: person });
    if (!('error' in sent)) return undefined;
    const error = errorOf(sent.error);
    return error.code === 'UNREACHABLE'
      ? { ...error, message: `${file.name} was not sent: the server did not answer.`, hint: 'Choose it again.' }
      : error;
  };
  const send = async (files: readonly File[]): Promise<void> => {
    let kept = 0;
    for (const [index, file] of files.entries()) {
      setSending(`${index + 1} of ${files.length}`);
      const wrong = await sendOne(file);
      if (wrong) showError(wrong);
      else kept += 1;
    }
    setSending(undefined);
    if (kept === files.length) notify(kept === 1 ? 'Photo attached' : `${kept} photos attached`);
  };
  return { sending, send };
}

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
  const { sending, send } = usePhotoSender(jobId, findingId);
  const { save } = useSave();
  const [open, setOpen] = useState<PhotoView>();
  const own = photos.filter((photo) => photo.findingId === findingId);
  const choose = (event: ChangeEvent<HTMLInputElement>): void => {
    const files = [...(event.target.files ?? [])];
    event.target.value = '';
    if (files.length > 0) void send(files);
  };
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
            onChange={choose}
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
