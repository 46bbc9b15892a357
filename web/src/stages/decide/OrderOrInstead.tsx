import { orderInWords } from '@mendum/core/catalogue';
import { substituteFor } from '@mendum/core/method';
import type { FindingPlan } from '@mendum/core/plan';

/**
 * Where the method that would go first only lacks a part or die: what to order, and what stands in for it with what it
 * loses.
 */
export function OrderOrInstead({ finding }: { readonly finding: FindingPlan }) {
  const substitute = substituteFor(finding.ranked);
  if (!substitute) return null;
  return (
    <section
      aria-label="What to order, and what to do meanwhile"
      className="mt-3 border-l-4 border-rework pl-3 text-lg"
    >
      <p>
        <b>{substitute.wanted.name} would go first.</b> Order {substitute.order.map(orderInWords).join('; ')}.
      </p>
      {substitute.instead.length === 0 ? (
        <p>Nothing on the shelf stands in for it.</p>
      ) : (
        <ol>
          {substitute.instead.map(({ method, loses }, index) => (
            <li key={method.methodId}>
              {index === 0 ? 'Meanwhile: ' : 'Or: '}
              <b>{method.name}</b>
              {loses.length === 0 ? ', which loses nothing.' : `. It loses: ${loses.join('; ')}.`}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
