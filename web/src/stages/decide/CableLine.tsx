import type { FindingPlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';

/** What is done at the end of a cable whose connector is torn off, in figures. */
export function CableLine({ finding }: { readonly finding: FindingPlan }) {
  const cable = finding.cavity?.work.cable;
  if (!cable) return null;
  const { backMm, unusedCores, sleeve } = cable;
  return (
    <p>
      Cable: jacket back <span className="figure">{figure(backMm, 0)}</span> mm
      {unusedCores === 0 ? '' : `, ${unusedCores} unused ${unusedCores === 1 ? 'core' : 'cores'} ended`}
      {sleeve ? (
        <>
          ; {sleeve.name} cut <span className="figure">{figure(sleeve.cutMm, 0)}</span> mm over jacket and back cap
        </>
      ) : (
        '; its own boot over jacket and back cap'
      )}
      .
    </p>
  );
}
