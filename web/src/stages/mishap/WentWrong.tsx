import { useMemo, useState } from 'react';
import { LONGEST_MISHAP_MM, mishapAsks, mishapInWords, mishapsOf, type MishapSaid } from '@mendum/core/mishap';
import type { FindingPlan, Make } from '@mendum/core/plan';
import type { MishapKind } from '@mendum/core/step';
import { useSave } from '../../app/change.ts';
import { Button } from '../../ui/button.tsx';
import { Choices, pickLook } from '../../ui/choices.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { NumberField, TextField, TickBox } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { useOpenJob } from '../job.ts';
import { Price } from './Price.tsx';
import { progressIn, useMishap } from './useMishap.ts';
import { useSideWords } from './useSideWords.ts';

interface WentWrongProps {
  readonly make: Make;
  readonly finding: FindingPlan;
  readonly onClose: () => void;
}

/** Something went wrong at a step: what, at which end, what it costs and what the plan becomes, before it is accepted. */
export function WentWrong({ make, finding, onClose }: WentWrongProps) {
  const { view } = useOpenJob();
  const { save, busy } = useSave();
  const sideWords = useSideWords(make);
  const [progress] = useState(() => progressIn(view)(make));
  const [kind, setKind] = useState<MishapKind>();
  const [side, setSide] = useState<'left' | 'right' | 'both'>();
  const [mm, setMm] = useState('');
  const [joined, setJoined] = useState(progress.joined);
  const [sealed, setSealed] = useState(progress.sealed);
  const [note, setNote] = useState('');
  const asks = kind && mishapAsks(make, kind);
  const typedMm = numberOf(mm);
  const isLength = typedMm > 0 && typedMm <= LONGEST_MISHAP_MM;
  const said = useMemo<MishapSaid | undefined>(
    () =>
      kind && {
        kind,
        ...(asks?.side === 'none' || side === undefined ? {} : { side }),
        ...(asks?.mm && isLength ? { mm: typedMm } : {}),
        joined,
        sealed: joined && sealed,
      },
    [kind, asks?.side, asks?.mm, side, typedMm, isLength, joined, sealed],
  );
  const priced = useMishap(finding, make, said);
  const pick = (next: MishapKind): void => {
    setKind(next);
    if (side === 'both' && mishapAsks(make, next).side === 'one') setSide(undefined);
  };
  const accept = (): void => {
    if (!kind || !said || !priced.cost) return;
    const words = `${mishapInWords(kind)}.`;
    void save('makeAgain', {
      jobId: view.id,
      version: view.version,
      spliceId: make.id,
      make: make.make,
      ...said,
      because: note.trim() === '' ? words : `${words} ${note.trim()}`,
    }).then(({ ok }) => {
      if (ok) onClose();
    });
  };
  const hasSeal = 'joint' in make && make.joint.seal.kind !== 'none';
  return (
    <Dialog
      open
      onClose={onClose}
      title="It went wrong"
      about="Nothing is written down before you accept what it costs."
    >
      {kind ? (
        <p className="flex flex-wrap items-center justify-between gap-x-4 text-xl font-semibold">
          {mishapInWords(kind)}
          <Button look="quiet" onClick={() => setKind(undefined)}>
            No, another
          </Button>
        </p>
      ) : (
        <Choices
          label="What went wrong"
          picked={kind}
          onPick={(next) => next && pick(next)}
          className="grid gap-1.5 sm:grid-cols-2"
          look={pickLook}
          choices={mishapsOf(make).map((value) => ({ value, shown: () => mishapInWords(value) }))}
        />
      )}
      {asks && asks.side !== 'none' ? (
        <>
          <p className="mt-4 mb-1 text-lg font-semibold">Which end?</p>
          <Choices
            label="Which end"
            picked={side}
            onPick={(next) => setSide(next)}
            className="flex flex-wrap gap-1.5"
            look={pickLook}
            choices={[
              { value: 'left' as const, shown: () => sideWords('left') },
              { value: 'right' as const, shown: () => sideWords('right') },
              ...(asks.side === 'oneOrBoth' ? [{ value: 'both' as const, shown: () => 'both' }] : []),
            ]}
          />
        </>
      ) : null}
      {asks?.mm ? (
        <div className="mt-4 max-w-xs">
          <NumberField
            label={kind === 'jacketBurnt' ? 'Burnt, from the end of the jacket' : 'Gone, from the end of the jacket'}
            unit="mm"
            value={mm}
            onChange={(event) => setMm(event.target.value)}
            wrong={
              mm.trim() !== '' && !isLength
                ? `Enter a length above 0, up to ${LONGEST_MISHAP_MM} mm; more is a finding of its own.`
                : undefined
            }
          />
        </div>
      ) : null}
      {kind === 'jacketBurnt' || kind === 'jointFailed' || kind === 'other' ? (
        <div className="mt-3 flex flex-wrap gap-x-6">
          {kind === 'jointFailed' ? null : (
            <TickBox
              label="It is joined already"
              checked={joined}
              onChange={(event) => setJoined(event.target.checked)}
            />
          )}
          {hasSeal && (joined || kind === 'jointFailed') ? (
            <TickBox
              label="Its seal is on already"
              checked={sealed}
              onChange={(event) => {
                setSealed(event.target.checked);
                if (event.target.checked) setJoined(true);
              }}
            />
          ) : null}
        </div>
      ) : null}
      <div className="mt-4">
        {priced.problem ? <p className="text-lg text-soft">{priced.problem.message}</p> : null}
        <Price finding={finding} make={make} priced={priced} />
      </div>
      {kind ? (
        <div className="mt-3">
          <TextField
            label={kind === 'other' ? 'What happened' : 'Anything to add, for the record'}
            value={note}
            maxLength={400}
            onChange={(event) => setNote(event.target.value)}
          />
        </div>
      ) : null}
      <div className="mt-5 flex flex-wrap justify-end gap-3">
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button
          look="scrap"
          size="large"
          disabled={busy || !priced.cost || (kind === 'other' && note.trim() === '')}
          onClick={accept}
        >
          Accept, and begin it again
        </Button>
      </div>
    </Dialog>
  );
}
