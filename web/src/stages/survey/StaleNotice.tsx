import { damageOf, type Finding } from '@mendum/core/damage';
import { figure } from '@mendum/core/units';
import { Button } from '../../ui/button.tsx';

/** What the server says of a write that was made from an old version. */
export interface Stale {
  readonly stored: Finding;
  readonly storedVersion: number;
  readonly yours: Finding;
}

const Version = ({ title, finding }: { readonly title: string; readonly finding: Finding }) => (
  <div>
    <p className="font-semibold">{title}</p>
    <p>
      {damageOf(finding.kind).words}, {figure(finding.fromMm)}–{figure(finding.toMm)} mm
    </p>
    <p className="text-soft">
      cut back {figure(finding.cutBackLeftMm)} and {figure(finding.cutBackRightMm)}, slack{' '}
      {finding.slackMm === undefined ? 'not measured' : figure(finding.slackMm)}
    </p>
  </div>
);

/** Two people changed the same finding: both versions side by side, and nothing overwritten without a word. */
export function StaleNotice({
  stale,
  busy,
  onKeepMine,
  onTakeTheirs,
}: {
  readonly stale: Stale;
  readonly busy: boolean;
  readonly onKeepMine: () => void;
  readonly onTakeTheirs: () => void;
}) {
  return (
    <section role="alert" className="border-l-4 border-rework bg-paper p-4">
      <p className="mb-2 text-lg font-semibold text-rework">
        Somebody saved this finding in between. Yours is not saved yet.
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        <Version title="Saved now" finding={stale.stored} />
        <Version title="Yours" finding={stale.yours} />
      </div>
      <div className="mt-3 flex flex-wrap gap-3">
        <Button disabled={busy} onClick={onKeepMine}>
          Save mine over it
        </Button>
        <Button disabled={busy} onClick={onTakeTheirs}>
          Keep what is saved
        </Button>
      </div>
    </section>
  );
}
