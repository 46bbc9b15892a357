import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { usePracticesQuery, useShelfQuery } from '../app/api.ts';
import { useSave } from '../app/change.ts';
import { useMay } from '../app/session.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { useNamed } from '../app/useNamed.tsx';
import { unitsToggled } from '../app/view.ts';
import { Only } from '../people/Only.tsx';
import { Button } from '../ui/button.tsx';
import { Choices, pickLook } from '../ui/choices.tsx';

const CountShelf = lazy(async () => ({ default: (await import('./CountShelf.tsx')).CountShelf }));

/** An empty workshop: what it measures in, how it works, what is on its shelf. All of it can wait. */
export function Beginning() {
  const units = useAppSelector((state) => state.view.units);
  const dispatch = useAppDispatch();
  const { data: practices = [] } = usePracticesQuery({});
  const { data: shelf } = useShelfQuery({});
  const { save, busy } = useSave();
  const { named, question } = useNamed();
  const [counting, setCounting] = useState(false);
  const maySet = useMay('setUsualPractice');
  const usual = practices.find((one) => one.usual)?.practice.id;
  return (
    <section aria-label="Before the first job" className="mt-8 max-w-4xl">
      <h2 className="text-xl font-semibold">Settle this now, or any time later</h2>
      <dl className="mt-2">
        <Line title="Units" says="On this device.">
          <Choices
            label="Units"
            picked={units}
            onPick={(picked) => picked && picked !== units && dispatch(unitsToggled())}
            className="flex flex-wrap gap-1.5"
            look={pickLook}
            choices={[
              { value: 'mm' as const, shown: () => 'mm' },
              { value: 'inch' as const, shown: () => 'inch' },
            ]}
          />
        </Line>
        <Line title="How the shop works" says="New jobs begin with it; each can be planned by another.">
          <Choices
            label="Practice"
            picked={usual}
            disabled={busy || !maySet}
            onPick={(practiceId) =>
              practiceId && practiceId !== usual && named((by) => void save('setUsualPractice', { practiceId }, { by }))
            }
            className="flex flex-wrap gap-1.5"
            look={pickLook}
            choices={practices.map(({ practice: { id, name } }) => ({ value: id, shown: () => name }))}
          />
        </Line>
        <Line
          title="What is on the shelf"
          says={
            shelf && shelf.uncounted !== true
              ? '✓ Counted.'
              : 'Not counted: plans say what a repair takes, and never that the kit is ready.'
          }
        >
          <div className="flex flex-wrap gap-1.5">
            <Only may="changeShelf">
              <Button onClick={() => setCounting(true)}>Count a usual assortment</Button>
            </Only>
            <Only may="importShelf">
              <Link
                to="/shelf?import=1"
                className="inline-flex min-h-11 items-center px-3 text-lg underline underline-offset-4"
              >
                From a table
              </Link>
            </Only>
          </div>
        </Line>
      </dl>
      {question}
      <Suspense fallback={null}>{counting ? <CountShelf onClose={() => setCounting(false)} /> : null}</Suspense>
    </section>
  );
}

const Line = ({
  title,
  says,
  children,
}: {
  readonly title: string;
  readonly says: string;
  readonly children: React.ReactNode;
}) => (
  <div className="grid items-center gap-x-6 gap-y-2 border-t border-rule py-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
    <dt>
      <b className="text-lg">{title}</b> <span className="block text-soft">{says}</span>
    </dt>
    <dd>{children}</dd>
  </div>
);
