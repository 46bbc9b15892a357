import clsx from 'clsx';
import type { ElectricalLine, FindingPlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { Figure } from '../../ui/units.tsx';

const STANDING: Record<ElectricalLine['standing'], { readonly word: string; readonly colour: string }> = {
  ok: { word: '✓ in order', colour: 'text-pass' },
  watch: { word: '▲ watch', colour: 'text-rework' },
  over: { word: '✕ over', colour: 'text-scrap' },
};

const NAMES: Record<ElectricalLine['id'], string> = {
  fuse: 'Fuse',
  load: 'Load',
  jacket: 'Heat',
  sleeve: 'Sleeve, part',
  drop: 'Voltage drop',
  joint: 'Joint',
  copper: 'New wire',
};

/** Where the circuit stands with current and heat: its path before and after, each figure against its limit. */
export function ElectricalTable({ finding }: { readonly finding: FindingPlan }) {
  const { check, electrical } = finding;
  const volts = (value: number | undefined): string => (value === undefined ? '' : ` · ${figure(value, 3)} V`);
  return (
    <section aria-label="Electrical check">
      <h3 className="text-xl font-semibold">Electrical check</h3>
      <p className="mt-1 text-soft">
        Path of {check.notMeasured ? 'at least ' : ''}
        <Figure value={figure(check.pathMm, 0)} unit="mm" /> at <Figure value={figure(check.conductorC, 0)} unit="°C" />
        : before{' '}
        <Figure className="text-ink" value={`${figure(check.before.milliohm, 1)} mΩ${volts(check.before.dropV)}`} />,
        after <Figure className="text-ink" value={`${figure(check.after.milliohm, 1)} mΩ${volts(check.after.dropV)}`} />
        . May carry <Figure className="text-ink" value={figure(electrical.bundledA, 1)} unit="A" /> in its bundle, alone{' '}
        <Figure value={figure(electrical.aloneA, 1)} unit="A" />.
      </p>
      <ul className="mt-1 border-t border-rule">
        {check.lines.map((line) => (
          <li key={line.id} className="grid gap-x-4 border-b border-rule py-1 sm:grid-cols-[110px_1fr_auto]">
            <span className="font-semibold">{NAMES[line.id]}</span>
            <span>{line.words}</span>
            <span className={clsx('font-semibold whitespace-nowrap', STANDING[line.standing].colour)}>
              {STANDING[line.standing].word}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
