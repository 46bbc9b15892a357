import { useState, type ChangeEvent } from 'react';
import { v4 as uuid } from 'uuid';
import type { ErrorBody } from '@mendum/core/operations';
import { showError } from './change.ts';
import { errorOf } from './errors.ts';
import { notify } from './notice.ts';
import { useAppSelector } from './store.ts';

/** Largest photo that is sent, bytes; the server takes no more either. */
const PHOTO_MOST = 10_000_000;

/** A photo on its way: the file, its name, and by whom and under which id it is sent. */
export interface SentPhoto {
  readonly file: File;
  readonly name: string;
  readonly writeId: string;
  readonly by: string;
}

/** The files that were chosen in a field, which may be asked for the same ones again. */
export function chosenFiles({ target }: ChangeEvent<HTMLInputElement>): readonly File[] {
  const files = [...(target.files ?? [])];
  target.value = '';
  return files;
}

/** Sends photos one after the other, each under its own id; says what was refused. */
export function usePhotoSender(sendTo: (photo: SentPhoto) => Promise<{ readonly error?: unknown }>): {
  /** "1 of 3", while it sends. */
  readonly sending: string | undefined;
  readonly send: (files: readonly File[]) => Promise<void>;
} {
  const person = useAppSelector((state) => state.view.person) ?? '';
  const [sending, setSending] = useState<string>();
  const sendOne = async (file: File): Promise<ErrorBody['error'] | undefined> => {
    if (file.size === 0 || file.size > PHOTO_MOST)
      return {
        code: 'PHOTO_REFUSED',
        message: `${file.name} has ${(file.size / 1e6).toFixed(1)} MB.`,
        hint: `A photo has up to ${PHOTO_MOST / 1e6} MB.`,
      };
    const sent = await sendTo({ file, name: file.name.slice(0, 120), writeId: uuid(), by: person });
    if (sent.error === undefined) return undefined;
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
    if (kept > 0 && kept === files.length) notify(kept === 1 ? 'Photo attached' : `${kept} photos attached`);
  };
  return { sending, send };
}
