import { Link } from 'react-router';
import { usePracticesQuery } from '../../app/api.ts';
import { useSave } from '../../app/change.ts';
import { useMay } from '../../app/session.ts';
import { Empty } from '../../ui/empty.tsx';
import { Select } from '../../ui/field.tsx';
import { useOpenJob } from '../job.ts';
import { CardList } from './CardList.tsx';
import { DecisionDetail } from './DecisionDetail.tsx';

/** A card for each finding, those that need a person on top; the picked one open beside them. */
export function DecideStage() {
  const mayChoose = useMay('setPractice');
  const { view, plan, selected, locked, pathTo } = useOpenJob();
  const { save, busy } = useSave();
  const { data } = usePracticesQuery({});
  const practices = (data ?? []).map((one) => one.practice);
  const offered = practices.some((one) => one.id === view.practiceId) ? practices : [view.practice, ...practices];
  if (plan.findings.length === 0) {
    return (
      <Empty title="Nothing to decide yet">
        Mark what was found first.{' '}
        <Link className="underline" to={pathTo('survey')}>
          Go to Survey
        </Link>
      </Empty>
    );
  }
  return (
    <div className="grid gap-x-7 gap-y-5 lg:grid-cols-[minmax(320px,390px)_minmax(0,1fr)]">
      <div>
        {mayChoose ? (
          <Select
            label="Practice"
            value={view.practiceId}
            disabled={busy || locked}
            onChange={(event) =>
              void save('setPractice', { jobId: view.id, version: view.version, practiceId: event.target.value })
            }
          >
            {offered.map((practice) => (
              <option key={practice.id} value={practice.id}>
                {practice.name}
              </option>
            ))}
          </Select>
        ) : (
          <p>
            Practice: <b>{view.practice.name}</b>
          </p>
        )}
        {view.ownShelf ? (
          <p className="mt-2 text-sm text-soft">Planned from the shelf that came in the job's file.</p>
        ) : null}
        <CardList />
      </div>
      {selected ? <DecisionDetail key={selected.findingId} finding={selected} /> : null}
    </div>
  );
}
