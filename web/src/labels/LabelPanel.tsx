import { useState } from 'react';
import { LABEL_SIZE_NAMES, LABEL_SIZES, type LabelSize } from '@mendum/core/label';
import type { SpliceRecord } from '@mendum/core/record';
import { useLabelPrinterQuery } from '../app/api.ts';
import { useSave } from '../app/change.ts';
import { keep, recall } from '../app/kept.ts';
import { notify } from '../app/notice.ts';
import { useMay } from '../app/session.ts';
import { Button } from '../ui/button.tsx';
import { Select } from '../ui/field.tsx';
import { OwnOnly } from '../ui/OwnOnly.tsx';

const LINK =
  'flex min-h-11 items-center justify-center rounded-sm border border-ink bg-sheet px-4 text-lg font-semibold hover:bg-wash';
/** The size that was taken last on this device. */
const KEY = 'mendum.label';

const rememberedSize = (): LabelSize => {
  const kept = recall(KEY);
  return LABEL_SIZE_NAMES.find((name) => name === kept) ?? 'flag';
};

interface Labelled {
  readonly recordId: string;
  readonly body: SpliceRecord;
}
interface LabelPanelProps {
  /** The repairs that may be labelled, one at least. */
  readonly records: readonly [Labelled, ...Labelled[]];
  /** The job whose labels are offered on one sheet; absent where one repair is shown. */
  readonly jobId?: string | undefined;
}

/** The label for the harness: seen, saved, printed on sheets or by the label printer. */
export function LabelPanel({ records, jobId }: LabelPanelProps) {
  const [pickedId, setPickedId] = useState<string>();
  const { recordId, body } = records.find((one) => one.recordId === pickedId) ?? records[0];
  const [size, setSize] = useState(rememberedSize);
  const { data: printer } = useLabelPrinterQuery({});
  const mayPrint = useMay('printLabel');
  const { save, busy } = useSave();
  const { title, about, wideMm, highMm } = LABEL_SIZES[size];
  const base = `/api/records/${recordId}/label`;
  const print = async (): Promise<void> => {
    const outcome = await save('printLabel', { recordId, size });
    if (outcome.ok) notify(`Label of circuit ${body.circuitNumber} sent to the printer.`);
  };
  return (
    <section aria-label="Label" className="grid gap-3 border-t border-rule pt-4">
      <h2 className="text-xl font-semibold">Label for the harness</h2>
      <Select
        label="Size"
        hint={`${wideMm} × ${highMm} mm: ${about}.`}
        value={size}
        onChange={({ target }) => {
          const next = target.value as LabelSize;
          setSize(next);
          keep(KEY, next);
        }}
      >
        {LABEL_SIZE_NAMES.map((name) => (
          <option key={name} value={name}>
            {LABEL_SIZES[name].title}
          </option>
        ))}
      </Select>
      {records.length > 1 ? (
        <Select label="Of" value={recordId} onChange={({ target }) => setPickedId(target.value)}>
          {records.map((one) => (
            <option key={one.recordId} value={one.recordId}>
              {one.body.circuitNumber} {one.body.circuitFunction}, {Math.round(one.body.atMm)} mm, {one.body.method}
            </option>
          ))}
        </Select>
      ) : null}
      <img
        src={`${base}.svg?size=${size}`}
        alt={`${title}: circuit ${body.circuitNumber} ${body.circuitFunction}, job ${body.jobNumber}`}
        className="w-full max-w-md justify-self-start rounded-sm border border-rule"
      />
      <OwnOnly what="the code" toDo="to print labels for others" />
      {jobId === undefined ? null : (
        <a className={LINK} href={`/api/jobs/${jobId}/labels.pdf?size=${size}`} download>
          All labels of the job (PDF)
        </a>
      )}
      <a className={LINK} href={`${base}.pdf?size=${size}`} download>
        This label (PDF)
      </a>
      <a
        className={LINK}
        href={`${base}.svg?size=${size}`}
        download={`label-${body.jobNumber}-${body.circuitNumber}.svg`}
      >
        This label (SVG)
      </a>
      {printer?.there && mayPrint ? (
        <Button disabled={busy} onClick={() => void print()}>
          Send to the label printer
        </Button>
      ) : null}
    </section>
  );
}
