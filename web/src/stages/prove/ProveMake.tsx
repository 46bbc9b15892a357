import { useState } from 'react';
import type { Circuit } from '@mendum/core/harness';
import type { Make } from '@mendum/core/plan';
import {
  maySign,
  type Check,
  type HowRead,
  type Reading,
  type ReadingValue,
  type Ruling,
  type VerdictWord,
} from '@mendum/core/prove';
import { useSave } from '../../app/change.ts';
import { WireChip } from '../../shapes/WireLine.tsx';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/field.tsx';
import { useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';
import { atOf, cavityOf, runOf } from '../where.ts';
import { readingsOfMake, standingOfMake } from '../standing.ts';
import { AnyOf } from './AnyOf.tsx';
import { CheckBlock } from './CheckBlock.tsx';
import { SlackAccount } from '../mishap/SlackAccount.tsx';
import { WentWrong } from '../mishap/WentWrong.tsx';
import { MakeAgain } from './MakeAgain.tsx';
import { useInstrument } from './useInstrument.ts';

/** What an instrument is read for; looks and functions need none. */
const MEASURES: ReadonlySet<Check['kind'] | undefined> = new Set([
  'tug',
  'resistance',
  'drop',
  'path',
  'height',
  'growth',
  'throat',
  'compression',
  'samples',
]);

/** One splice or cover with its checks, its rulings, and what a redo would cost. */
export function ProveMake({
  make,
  circuit,
  onNext,
}: {
  readonly make: Make;
  readonly circuit: Circuit;
  readonly onNext: (() => void) | undefined;
}) {
  const { view, plan, nodeName, locked, canProve } = useOpenJob();
  const run = runOf(make, plan, view.job.harness.runs);
  const { save, busy } = useSave();
  const { plain, unit } = useLength();
  const { rulings, standing } = standingOfMake(view, make);
  const readings = readingsOfMake(view, make);
  const last = (checkId: string): Reading | undefined => readings.filter((one) => one.checkId === checkId).at(-1);
  const group = make.checks.filter(({ anyOf }) => anyOf !== undefined);
  const finding = plan.findings.find(({ findingId }) => findingId === make.findingId);
  const ruled = (verdict: VerdictWord): Ruling | undefined =>
    [...rulings.values()].find((ruling) => ruling.verdict === verdict);
  const failing = standing === 'failed' ? (ruled('scrap') ?? ruled('rework')) : undefined;
  const [wrong, setWrong] = useState(false);
  const [instrument, setInstrument] = useInstrument();
  const measures = make.checks.some(({ kind }) => MEASURES.has(kind));
  const looks = make.checks.filter((check) => check.kind === 'look');
  const looksOpen = looks.filter((check) => !rulings.has(check.id));
  const send = (
    values: readonly ({ readonly checkId: string; readonly value: ReadingValue } & HowRead)[],
  ): Promise<boolean> =>
    save('addReadings', {
      jobId: view.id,
      readings: values.map((one) => ({ ...one, spliceId: make.id, make: make.make })),
    }).then((outcome) => outcome.ok);
  const kindOf = new Map(make.checks.map(({ id, kind }) => [id, kind]));
  const read = (checkId: string, value: ReadingValue): Promise<boolean> =>
    send([
      {
        checkId,
        value,
        ...(MEASURES.has(kindOf.get(checkId)) && instrument.trim() !== '' ? { instrument: instrument.trim() } : {}),
      },
    ]);
  return (
    <section aria-label={`Checks of circuit ${circuit.number}`}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <b className="figure text-2xl">{circuit.number}</b>
        <WireChip colour={circuit.wire.colour} width={90} thick={11} title="the wire" />
        <h2 className="text-2xl font-semibold">{circuit.function}</h2>
        <span className="text-lg text-soft">
          {'methodName' in make ? make.methodName : make.name}
          {cavityOf(make) === undefined ? (
            <>
              {' '}
              at <span className="figure">{plain(atOf(make), 0)}</span> {unit}
              {run ? ` from ${nodeName(run.fromNodeId)}` : ''}
            </>
          ) : (
            <>, {cavityOf(make)}</>
          )}
          {make.make > 1 ? `, make ${make.make}` : ''}
        </span>
        {canProve && looksOpen.length > 1 ? (
          <Button
            className="ml-auto"
            disabled={busy}
            onClick={() =>
              void send(
                looksOpen.map((check) => ({
                  checkId: check.id,
                  value: { kind: 'look', answer: 'good' },
                  inOneGo: true,
                })),
              )
            }
          >
            All {looksOpen.length} looks are good
          </Button>
        ) : null}
      </div>
      {finding ? <SlackAccount finding={finding} /> : null}
      {failing && finding && !locked ? <MakeAgain make={make} finding={finding} ruling={failing} /> : null}
      {measures && canProve ? (
        <div className="mt-2 max-w-sm">
          <TextField
            label="Read with, if it has a name or a number"
            maxLength={120}
            value={instrument}
            onChange={(event) => setInstrument(event.target.value)}
          />
        </div>
      ) : null}
      <ol className="mt-3 border-t border-ink">
        {make.checks.map((check) =>
          check.anyOf === undefined ? (
            <li key={check.id} className="border-b border-rule py-3">
              <CheckBlock
                check={check}
                ruling={rulings.get(check.id)}
                reading={last(check.id)}
                locked={!canProve || busy}
                onRead={(value) => read(check.id, value)}
              />
            </li>
          ) : check === group[0] ? (
            <li key={check.anyOf} className="border-b border-rule py-3">
              <AnyOf checks={group} rulings={rulings} last={last} locked={!canProve || busy} onRead={read} />
            </li>
          ) : null,
        )}
      </ol>
      {wrong && finding ? <WentWrong make={make} finding={finding} onClose={() => setWrong(false)} /> : null}
      {maySign(standing) ? (
        <div className="mt-4 flex flex-wrap items-center gap-4">
          {standing === 'passed' ? (
            <p className="text-xl font-semibold text-pass">✓ Proved: every check of this one passed.</p>
          ) : (
            <p className="text-xl font-semibold">
              ◐ Looked at, not measured: it may be signed, and the record says so.
            </p>
          )}
          {onNext ? (
            <Button look="copper" onClick={onNext}>
              Next one
            </Button>
          ) : null}
        </div>
      ) : null}
      {locked ? null : (
        <Button look="quiet" className="mt-3" onClick={() => setWrong(true)}>
          It went wrong
        </Button>
      )}
    </section>
  );
}
