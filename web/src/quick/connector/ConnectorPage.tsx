import { useEffect, useMemo } from 'react';
import { damageOf } from '@mendum/core/damage';
import {
  checkConnector,
  placeFacts,
  QUICK_CONNECTOR_DAMAGES,
  QUICK_PLACES,
  quickCircuitInWords,
  quickConnectorJob,
  SLACK_BY_FEEL,
  type QuickConnector,
} from '@mendum/core/quick';
import { figure } from '@mendum/core/units';
import { usePracticesQuery, useShelfQuery } from '../../app/api.ts';
import { thePlanner } from '../../app/planner.ts';
import { DamagePicture } from '../../draw/DamageMark.tsx';
import { Choices } from '../../ui/choices.tsx';
import { Length } from '../../ui/units.tsx';
import { AnswerBeside } from '../AnswerBeside.tsx';
import { Begin, THENS } from '../Begin.tsx';
import { SlackChoices } from '../Happened.tsx';
import { QuickFrame } from '../QuickFrame.tsx';
import { tile } from '../look.ts';
import { placeInWords } from '../PlaceLine.tsx';
import { useAnswer, type Tapped } from '../useAnswer.ts';
import { useBegin } from '../useBegin.tsx';
import { Later } from '../Later.tsx';
import { atPlace, connectorOf, missingFrom, NO_CONNECTOR, useConnectorDraft, withChange } from './draft.ts';
import { Seats } from './Seats.tsx';
import { Ways } from './Ways.tsx';

const TAPPED: Tapped<QuickConnector> = { check: checkConnector, jobOf: quickConnectorJob };
/** The mapping card first: which wire of the new connector goes to which of the old. */
const CONNECTOR_THENS = [{ to: 'mapping/X', words: 'mapping card' }, ...THENS];

/** A repair that begins with a connector in the hand: its face and its wires tapped, the answer beside it. */
export function ConnectorPage() {
  const [draft, setDraft] = useConnectorDraft();
  const shelf = useShelfQuery({});
  const practices = usePracticesQuery({});
  const usual = practices.currentData?.find((one) => one.usual)?.practice;
  const connector = useMemo(() => connectorOf(draft), [draft]);
  const answer = useAnswer(TAPPED, connector, shelf.currentData, usual);
  useEffect(() => void thePlanner(), []);
  const { begin, busy, question } = useBegin('beginConnector', () => setDraft(NO_CONNECTOR));
  return (
    <QuickFrame enough="A connector" isEmpty={draft === NO_CONNECTOR} onStartOver={() => setDraft(NO_CONNECTOR)}>
      <AnswerBeside
        missing={missingFrom(draft)}
        answer={answer}
        wires={answer.to?.wires.map(({ cavity, wire }) => ({ name: cavity, ...wire })) ?? []}
        below={
          answer.plan && connector && !answer.wrong ? (
            <Begin
              thens={CONNECTOR_THENS}
              isWaiting={busy || answer.isOld}
              onBegin={(how, to) => begin({ connector, how }, to)}
            >
              Tape mark A <Length mm={connector.openMm} digits={0} /> behind the connector: so much of the harness is
              opened, and all places are measured from the connector.
            </Begin>
          ) : null
        }
      >
        <Ways draft={draft} onChange={setDraft} />
        <Seats draft={draft} onChange={setDraft} />
        <section aria-label="What happened" className="grid gap-2">
          <h2 className="text-xl font-semibold">What happened</h2>
          <Choices
            label="What happened"
            picked={draft.damage}
            onPick={(damage) => damage && setDraft({ ...draft, damage })}
            className="grid grid-cols-2 gap-1.5"
            look={tile}
            choices={QUICK_CONNECTOR_DAMAGES.map((value) => ({
              value,
              shown: () => (
                <>
                  <DamagePicture kind={value} />
                  {damageOf(value).words}
                </>
              ),
            }))}
          />
        </section>
        <section aria-label="Where it is" className="grid gap-2">
          <h2 className="text-xl font-semibold">Where it is</h2>
          <Choices
            label="Where it is"
            picked={draft.place}
            onPick={(place) => place && setDraft(atPlace(draft, place))}
            className="grid grid-cols-2 gap-1.5 sm:grid-cols-4"
            look={tile}
            choices={QUICK_PLACES.map((value) => ({ value, shown: () => placeFacts(value).words }))}
          />
          {connector ? (
            <details>
              <summary className="min-h-11 cursor-pointer content-center text-lg">
                {placeInWords(connector)}; {quickCircuitInWords(connector.circuitKind)} at{' '}
                {figure(connector.systemVoltageV)} V. <span className="underline underline-offset-4">Change</span>
              </summary>
              <Later.ConnectorFields
                connector={connector}
                onChange={(changed) => setDraft(withChange(draft, changed))}
              />
            </details>
          ) : null}
        </section>
        <section aria-label="Slack" className="grid gap-2">
          <h2 className="text-xl font-semibold">
            Slack <span className="text-base font-normal text-soft">of the wires at the connector</span>
          </h2>
          <SlackChoices
            slackMm={draft.slackMm ?? SLACK_BY_FEEL.none}
            onPick={(slackMm) => setDraft({ ...draft, slackMm })}
          />
        </section>
      </AnswerBeside>
      {question}
    </QuickFrame>
  );
}
