import { damageOf } from '@mendum/core/damage';
import {
  QUICK_DAMAGES,
  QUICK_PLACES,
  placeFacts,
  SLACK_BY_FEEL,
  type QuickRepair,
  type SlackFelt,
} from '@mendum/core/quick';
import { DamagePicture } from '../draw/DamageMark.tsx';
import { Which, WhichDamage } from '../recognise/Which.tsx';
import { Choices } from '../ui/choices.tsx';
import { useLength } from '../ui/units.tsx';
import { changing, withDamage, withPlace, type QuickDraft } from './draft.ts';
import { Later } from './Later.tsx';
import { tile } from './look.ts';
import { PlaceLine } from './PlaceLine.tsx';

interface AskedProps {
  readonly draft: QuickDraft;
  /** With everything that was assumed, once there is enough for that. */
  readonly repair: QuickRepair | undefined;
  readonly onChange: (draft: QuickDraft) => void;
}

/** What happened to the wire, by its drawings; strands are counted where some are lost. */
export function Happened({ draft, repair, onChange }: AskedProps) {
  return (
    <section aria-label="What happened" className="grid gap-2">
      <div className="flex flex-wrap items-center gap-x-4">
        <h2 className="text-xl font-semibold">What happened</h2>
        <Which words="Is it damage?">
          {(close) => (
            <WhichDamage
              kinds={QUICK_DAMAGES}
              onClose={close}
              onPick={(kind) => {
                const damage = QUICK_DAMAGES.find((one) => one === kind);
                if (damage) onChange(withDamage(draft, damage));
                close();
              }}
            />
          )}
        </Which>
      </div>
      <Choices
        label="What happened"
        picked={draft.damage}
        onPick={(damage) => damage && onChange(withDamage(draft, damage))}
        className="grid grid-cols-2 gap-1.5 sm:grid-cols-3"
        look={tile}
        choices={QUICK_DAMAGES.map((value) => ({
          value,
          shown: () => (
            <>
              <DamagePicture kind={value} />
              {damageOf(value).words}
            </>
          ),
        }))}
      />
      {repair?.strands ? <Later.StrandFields repair={repair} onChange={changing(draft, onChange)} /> : null}
    </section>
  );
}

/** Where the wire lives, and what that means for it. */
export function Where({ draft, repair, onChange }: AskedProps) {
  return (
    <section aria-label="Where it is" className="grid gap-2">
      <h2 className="text-xl font-semibold">Where it is</h2>
      <Choices
        label="Where it is"
        picked={draft.place}
        onPick={(place) => place && onChange(withPlace(draft, place))}
        className="grid grid-cols-2 gap-1.5 sm:grid-cols-4"
        look={tile}
        choices={QUICK_PLACES.map((value) => ({ value, shown: () => placeFacts(value).words }))}
      />
      {repair ? <PlaceLine repair={repair} onChange={changing(draft, onChange)} /> : null}
    </section>
  );
}

const FELT: Record<SlackFelt, string> = { none: 'none', finger: 'a finger', hand: 'a hand' };

/** Slack by feel, each with what it counts for. */
export function SlackChoices({
  slackMm,
  onPick,
}: {
  readonly slackMm: number;
  readonly onPick: (slackMm: number) => void;
}) {
  const { plain, unit } = useLength();
  const felt = (Object.keys(SLACK_BY_FEEL) as SlackFelt[]).find((name) => SLACK_BY_FEEL[name] === slackMm);
  return (
    <Choices
      label="Slack, by feel"
      picked={felt}
      onPick={(name) => name && onPick(SLACK_BY_FEEL[name])}
      className="grid grow grid-cols-3 gap-1.5"
      look={tile}
      choices={(Object.keys(SLACK_BY_FEEL) as SlackFelt[]).map((value) => ({
        value,
        shown: () => (
          <>
            {FELT[value]}
            <span className="figure text-soft">
              {plain(SLACK_BY_FEEL[value], 0)} {unit}
            </span>
          </>
        ),
      }))}
    />
  );
}

/** Slack by feel, or measured. */
export function Slack({ draft, repair, onChange }: AskedProps) {
  const slackMm = repair?.slackMm ?? draft.changed.slackMm ?? SLACK_BY_FEEL.none;
  return (
    <section aria-label="Slack" className="grid gap-2">
      <h2 className="text-xl font-semibold">
        Slack <span className="text-base font-normal text-soft">when you pull the two sides together</span>
      </h2>
      <div className="flex flex-wrap items-end gap-3">
        <SlackChoices slackMm={slackMm} onPick={(mm) => changing(draft, onChange)({ slackMm: mm })} />
        {repair ? (
          <div className="w-36">
            <Later.SlackField repair={repair} onChange={changing(draft, onChange)} />
          </div>
        ) : null}
      </div>
    </section>
  );
}
