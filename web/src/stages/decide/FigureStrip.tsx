import type { FindingPlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { Figure, useLength } from '../../ui/units.tsx';

interface Fact {
  readonly name: string;
  readonly value: string;
  readonly unit?: string;
}

/** The figures that belong to the choice, in one strip. */
export function FigureStrip({ finding }: { readonly finding: FindingPlan }) {
  const { plain, fixed, unit } = useLength();
  const [splice] = finding.splices;
  const facts: Fact[] = [{ name: 'Copper', value: figure(finding.electrical.areaMm2, 2), unit: 'mm²' }];
  if (splice) {
    const { joint } = splice;
    const strips = [joint.left, joint.right].map((end) => fixed(end.stripMm));
    facts.push({
      name: strips[0] === strips[1] ? 'Strip' : 'Strip left, right',
      value: [...new Set(strips)].join(' · '),
      unit,
    });
    if (joint.left.folded || joint.right.folded) facts.push({ name: 'Fold', value: 'doubled over' });
    if (joint.crimpAtMm !== undefined) facts.push({ name: 'Crimp at', value: plain(joint.crimpAtMm, 2), unit });
    if (joint.seal.kind === 'sleeve') facts.push({ name: 'Sleeve cut', value: plain(joint.seal.cutMm, 0), unit });
    facts.push({
      name: splice.shield ? 'Body, its shield beside' : 'Body',
      value: `${plain(joint.bodyLengthMm, 0)} × ${plain(joint.bodyDiameterMm)}`,
      unit,
    });
    facts.push({ name: 'Tug', value: `≤ ${figure(splice.tugN, 0)}`, unit: 'N' });
  }
  const terminal = finding.cavity?.work.terminal;
  if (terminal) facts.push({ name: 'Terminal strip', value: fixed(terminal.stripMm), unit });
  if (finding.cover)
    facts.push({
      name: finding.cover.coverId === 'sleeveCover' ? 'Sleeve cut' : 'Tape',
      value: plain(finding.cover.lengthMm, 0),
      unit,
    });
  if (finding.insert)
    facts.push({
      name: finding.approach === 'pigtail' ? 'Its wire, up to' : finding.isLead ? 'New lead' : 'Insert',
      value: plain(finding.insert.lengthMm, 0),
      unit,
    });
  return (
    <dl className="flex flex-wrap border-y border-rule">
      {facts.map((fact, index) => (
        <div key={fact.name} className={index === 0 ? 'py-2 pr-4' : 'border-l border-rule px-4 py-2'}>
          <dt className="text-soft">{fact.name}</dt>
          <dd className="text-[1.375rem] font-semibold">
            <Figure value={fact.value} unit={fact.unit} />
          </dd>
        </div>
      ))}
    </dl>
  );
}
