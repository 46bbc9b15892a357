import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { ErrorBody } from '@mendum/core/operations';
import { useReadParcelMutation } from '../../app/api.ts';
import { errorOf } from '../../app/errors.ts';
import { notify } from '../../app/notice.ts';
import { useNamed } from '../../app/useNamed.tsx';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { TextField } from '../../ui/field.tsx';

/** Reads in a parcel of another shop: all of it is checked before anything of it is kept. */
function ReadDialog({ onClose }: { readonly onClose: () => void }) {
  const person = useAppSelector((state) => state.view.person) ?? '';
  const [send, { isLoading }] = useReadParcelMutation();
  const [shop, setShop] = useState('');
  const [file, setFile] = useState<File>();
  const [refused, setRefused] = useState<ErrorBody['error']>();
  const read = async (): Promise<void> => {
    if (!file) return;
    setRefused(undefined);
    const { data, error } = await send({ shop: shop.trim(), file, writeId: uuid(), by: person });
    if (!data) {
      setRefused(errorOf(error));
      return;
    }
    notify(`${data.records} records of ${shop.trim()} checked and read in.`);
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title="Read in a parcel"
      about="Records of another shop. They keep their own numbers and stand apart from yours."
    >
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void read();
        }}
      >
        <TextField
          label="Which shop sent it?"
          value={shop}
          maxLength={120}
          onChange={({ target }) => setShop(target.value)}
        />
        <label className="grid gap-1 text-lg">
          The parcel (ZIP)
          <input
            type="file"
            accept=".zip,application/zip"
            className="min-h-11 rounded-sm border border-ink bg-paper p-2"
            onChange={({ target }) => setFile(target.files?.[0])}
          />
        </label>
        {refused ? (
          <p role="alert" className="text-lg text-scrap">
            {refused.message} {refused.hint}
          </p>
        ) : null}
        <Button type="submit" look="copper" disabled={isLoading || !file || shop.trim() === ''}>
          {isLoading ? 'Checking every file and record…' : 'Check it and read it in'}
        </Button>
      </form>
    </Dialog>
  );
}

export function ReadParcel() {
  const { named, question } = useNamed();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => named(() => setOpen(true))}>Read in a parcel</Button>
      {question}
      {open ? <ReadDialog onClose={() => setOpen(false)} /> : null}
    </>
  );
}
