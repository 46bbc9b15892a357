import { useState } from 'react';
import clsx from 'clsx';
import { damageOf, type FindingKind } from '@mendum/core/damage';
import { GRADES, LOOKED_AT, LOOKS, type Grade, type LookedAt } from '@mendum/core/recognise';
import { Button } from '../ui/button.tsx';
import { Choices, pickLook } from '../ui/choices.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { LOOK_PICTURES } from './lookPictures.tsx';
import { Picture } from './Pictures.tsx';

const GRADE_WORDS: Readonly<Record<Grade, { readonly title: string; readonly look: string }>> = {
  good: { title: 'Good', look: 'border-pass text-pass' },
  doubtful: { title: 'In doubt', look: 'border-rework text-rework' },
  bad: { title: 'Bad', look: 'border-scrap text-scrap' },
};

interface WhichDamageProps {
  /** What may be found here; what is none of these can be looked at and not taken. */
  readonly kinds: readonly FindingKind[];
  readonly onPick: (kind: FindingKind, sort: string | undefined) => void;
  readonly onClose: () => void;
}

/** Good, doubtful and bad side by side: whether it is damage at all, and which. */
export function WhichDamage({ kinds, onPick, onClose }: WhichDamageProps) {
  const things = LOOKED_AT.filter((one) => kinds.some((kind) => kind === LOOKS[one].bad.kind));
  const [thing, setThing] = useState<LookedAt>(things[0] ?? 'jacket');
  return (
    <Dialog
      open
      shape="wide"
      onClose={onClose}
      title="Is it damage?"
      about="What do you look at? Hold it beside the three."
    >
      <div className="grid gap-5">
        <Choices
          label="What do you look at?"
          picked={thing}
          onPick={(one) => one && setThing(one)}
          className="flex flex-wrap gap-2"
          look={pickLook}
          choices={things.map((value) => ({ value, shown: () => LOOKS[value].title }))}
        />
        <div className="grid gap-4 md:grid-cols-3">
          {GRADES.map((grade) => {
            const { seen, then, kind, sort } = LOOKS[thing][grade];
            const { title, look } = GRADE_WORDS[grade];
            return (
              <section key={grade} aria-label={title} className={clsx('flex flex-col gap-2 border-t-4 pt-2', look)}>
                <h3 className="text-xl font-semibold">{title}</h3>
                <div className="grid grow gap-x-3 text-ink max-md:grid-cols-[8rem_minmax(0,1fr)]">
                  <div className="flex justify-center">
                    <Picture>{LOOK_PICTURES[thing][grade]}</Picture>
                  </div>
                  <div>
                    <p className="text-lg font-semibold">{seen}</p>
                    <p>{then}</p>
                  </div>
                </div>
                {kind === undefined ? (
                  grade === 'good' ? (
                    <Button onClick={onClose}>No finding</Button>
                  ) : null
                ) : (
                  <Button look={grade === 'bad' ? 'copper' : 'plain'} onClick={() => onPick(kind, sort)}>
                    Note: {damageOf(kind).words}
                  </Button>
                )}
              </section>
            );
          })}
        </div>
      </div>
    </Dialog>
  );
}
