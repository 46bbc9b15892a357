import { useId, useState } from 'react';
import { ScanQrCode } from 'lucide-react';
import { recordIn } from '@mendum/core/label';
import { codeOn } from './readCode.ts';

/** Why a photo led nowhere, and what to do. */
const NO_CODE = 'No code was found on that photo. Go closer, hold it straight, and keep the light off it.';
const NOT_OURS = 'That code is no label of Mendum’s.';
const NO_PHOTO = 'That file is no photo that can be read.';

/** Opens a repair by the label on the harness: the camera takes a photo of its code. */
export function ScanLabel({ onFound }: { readonly onFound: (recordId: string) => void }) {
  const id = useId();
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string>();
  const look = async (photo: File | undefined): Promise<void> => {
    if (!photo) return;
    setBusy(true);
    setWrong(undefined);
    try {
      const code = await codeOn(photo);
      const recordId = code === undefined ? undefined : recordIn(code);
      if (recordId === undefined) setWrong(code === undefined ? NO_CODE : NOT_OURS);
      else onFound(recordId);
    } catch {
      setWrong(NO_PHOTO);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="mb-3">
      <label
        htmlFor={id}
        className="inline-flex min-h-11 cursor-pointer items-center gap-3 rounded-sm border border-ink bg-sheet px-4 text-lg font-semibold focus-within:outline-2 hover:bg-wash"
      >
        <ScanQrCode size={22} aria-hidden />
        {busy ? 'Reading the label…' : 'Scan a label'}
        <input
          id={id}
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          disabled={busy}
          onChange={({ target }) => {
            void look(target.files?.[0]);
            target.value = '';
          }}
        />
      </label>
      {wrong === undefined ? null : (
        <p role="alert" className="mt-2 text-lg text-scrap">
          {wrong}
        </p>
      )}
    </div>
  );
}
