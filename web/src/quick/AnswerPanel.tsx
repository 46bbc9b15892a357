import { useState } from 'react';
import type { KitLine } from '@mendum/core/kit';
import { makesOf, type FindingPlan, type Plan } from '@mendum/core/plan';
import { coloursAt } from '../draw/coloursAt.ts';
import { FigureStrip } from '../stages/decide/FigureStrip.tsx';
import { JointPicture } from '../stages/decide/JointPicture.tsx';
import { OrderOrInstead } from '../stages/decide/OrderOrInstead.tsx';
import { useLength } from '../ui/units.tsx';
import type { QuickWire } from './draft.ts';
import { WireChips } from './WireChips.tsx';

/** Tool and nest of each crimp, each once. */
const nestsOf = (finding: FindingPlan): readonly string[] => [
  ...new Set(makesOf(finding).flatMap(({ steps }) => steps.flatMap(({ tool }) => (tool === undefined ? [] : [tool])))),
];

/** What is done about one wire, drawn and in figures, and why. */
function OneAnswer({ finding, wire }: { readonly finding: FindingPlan; readonly wire: QuickWire | undefined }) {
  const [splice] = finding.splices;
  const colour = wire?.colour ?? { base: 'natural' };
  return (
    <>
      <p className="text-[1.75rem] leading-tight font-semibold">{finding.headline}</p>
      <p className="text-lg leading-snug">{finding.because.join(' ')}</p>
      {splice ? <JointPicture splice={splice} colours={coloursAt(finding, splice, colour)} /> : null}
      <FigureStrip finding={finding} />
      {nestsOf(finding).map((nest) => (
        <p key={nest} className="text-lg">
          <b>Die:</b> {nest}.
        </p>
      ))}
      {finding.warnings.map((warning) => (
        <p key={warning} className="border-l-4 border-rework pl-3 text-lg">
          <span aria-hidden className="text-rework">
            ▲{' '}
          </span>
          {warning}
        </p>
      ))}
      {finding.asks.map((ask) => (
        <p key={ask.words} className="border-l-4 border-rework pl-3 text-lg">
          <b className="text-rework">▲ Needs you:</b> {ask.words}.
        </p>
      ))}
      <OrderOrInstead finding={finding} />
    </>
  );
}

/** The answer to what was tapped: per wire what is done, the tools and nests for all, and what is not on the shelf. */
export function AnswerPanel({ plan, wires }: { readonly plan: Plan; readonly wires: readonly QuickWire[] }) {
  const [picked, setPicked] = useState(0);
  const { show } = useLength();
  const at = Math.min(picked, plan.findings.length - 1);
  const finding = plan.findings[at];
  if (!finding) return null;
  const amount = ({ need, unit }: KitLine): string => (unit === 'mm' ? `${show(need, 0)} of` : `${need} ×`);
  const short = plan.kit.lines.filter(({ state }) => state !== 'have');
  return (
    <div className="grid gap-3">
      <WireChips wires={wires} at={at} onPick={setPicked} />
      <OneAnswer finding={finding} wire={wires[at]} />
      {plan.kit.lines.length > 0 ? (
        <p>
          <b>It takes:</b> {plan.kit.lines.map((line) => `${amount(line)} ${line.name}`).join('; ')}.
        </p>
      ) : null}
      {plan.kit.tools.length > 0 ? (
        <p>
          <b>Tools:</b> {plan.kit.tools.join('; ')}.
        </p>
      ) : null}
      {plan.kit.counted ? (
        short.map((line) => (
          <p key={line.id} className="text-rework">
            <b>▲ {line.state === 'short' ? 'Not on the shelf' : 'Instead'}:</b> {amount(line)} {line.name}
            {line.note === '' ? '' : `. ${line.note}`}
          </p>
        ))
      ) : (
        <p className="text-soft">Nobody has counted this shop’s shelf yet: what you need is said, not what you have.</p>
      )}
    </div>
  );
}
