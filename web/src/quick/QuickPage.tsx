import { useEffect, useMemo } from 'react';
import { checkQuick, quickJob, type QuickRepair } from '@mendum/core/quick';
import { usePracticesQuery, useShelfQuery } from '../app/api.ts';
import { thePlanner } from '../app/planner.ts';
import { Length } from '../ui/units.tsx';
import { AnswerBeside } from './AnswerBeside.tsx';
import { Assumed } from './Assumed.tsx';
import { Begin, THENS } from './Begin.tsx';
import { changing, EMPTY, missingFrom, repairOf, useQuickDraft } from './draft.ts';
import { Happened, Slack, Where } from './Happened.tsx';
import { QuickFrame } from './QuickFrame.tsx';
import { useAnswer, type Tapped } from './useAnswer.ts';
import { useBegin } from './useBegin.tsx';
import { WirePick } from './WirePick.tsx';

const TAPPED: Tapped<QuickRepair> = { check: checkQuick, jobOf: quickJob };

/** A repair that begins with a wire in the hand: what is tapped on one side, the answer beside it. */
export function QuickPage() {
  const [draft, setDraft] = useQuickDraft();
  const shelf = useShelfQuery({});
  const repair = useMemo(() => repairOf(draft), [draft]);
  const practices = usePracticesQuery({});
  const usual = practices.currentData?.find((one) => one.usual)?.practice;
  const answer = useAnswer(TAPPED, repair, shelf.currentData, usual);
  useEffect(() => void thePlanner(), []);
  const { begin, busy, question } = useBegin('beginQuick', () => setDraft(EMPTY));
  const isColourless = draft.wires.some(({ colour }) => colour === undefined);
  const asked = { draft, repair, onChange: setDraft };
  return (
    <QuickFrame enough="A wire" isEmpty={draft === EMPTY} onStartOver={() => setDraft(EMPTY)}>
      <AnswerBeside
        missing={missingFrom(draft)}
        answer={answer}
        wires={answer.to?.wires ?? []}
        below={
          <>
            {repair ? <Assumed repair={repair} onChange={changing(draft, setDraft)} /> : null}
            {answer.plan && repair && !answer.wrong ? (
              <Begin
                thens={THENS}
                missing={isColourless ? 'Tap the colour first: the record names the wire by it.' : undefined}
                isWaiting={busy || answer.isOld}
                onBegin={(how, to) => begin({ quick: repair, how }, to)}
              >
                Tape mark A <Length mm={repair.openMm} digits={0} /> to the left of the middle of the damage, mark B as
                far to the right: all places are measured from mark A.
              </Begin>
            ) : null}
          </>
        }
      >
        <WirePick draft={draft} onChange={setDraft} />
        <Happened {...asked} />
        <Where {...asked} />
        <Slack {...asked} />
      </AnswerBeside>
      {question}
    </QuickFrame>
  );
}
