import { useState } from 'react';
import clsx from 'clsx';
import type { MethodId } from '@mendum/core/family';
import { compareMethods, type RankedMethod, type RuleHit, type WouldNeed } from '@mendum/core/method';
import type { FindingPlan } from '@mendum/core/plan';
import { Dialog } from '../../ui/dialog.tsx';
import { Select } from '../../ui/field.tsx';

interface CompareProps {
  readonly finding: FindingPlan;
  readonly a: MethodId;
  readonly b: MethodId;
  readonly onClose: () => void;
}

const standing = (method: RankedMethod): string =>
  method.status === 'allowed' ? '✓ allowed' : method.status === 'shelf' ? '○ not on the shelf' : '✕ refused';

function Needs({ method, needs }: { readonly method: RankedMethod; readonly needs: readonly WouldNeed[] }) {
  if (needs.length === 0) return <p className="text-pass">✓ {method.name} may be used as it stands.</p>;
  return (
    <ul className="grid gap-1">
      {needs.map((need) => (
        <li key={need.ruleId}>
          <span className={need.hard ? 'text-scrap' : 'text-rework'}>{need.hard ? '✕' : '○'} </span>
          {need.words}
          <span className="block text-sm text-soft">
            Rule {need.ruleId}
            {need.hard ? ', in every practice' : ''}.
          </span>
        </li>
      ))}
    </ul>
  );
}

const said = (hit: RuleHit | undefined): string => hit?.because ?? '—';

/** Two methods for one circuit side by side: all figures, all rules, and what would have to change for either. */
export function Compare({ finding, a, b, onClose }: CompareProps) {
  const [left, setLeft] = useState(a);
  const [right, setRight] = useState(b);
  const of = (id: MethodId): RankedMethod | undefined => finding.ranked.find((method) => method.methodId === id);
  const [one, two] = [of(left), of(right)];
  if (!one || !two) return null;
  const { figures, rules, aNeeds, bNeeds } = compareMethods(one, two);
  const pick = (label: string, value: MethodId, set: (id: MethodId) => void) => (
    <Select label={label} value={value} onChange={(event) => set(event.target.value as MethodId)}>
      {finding.ranked.map((method) => (
        <option key={method.methodId} value={method.methodId}>
          {method.name}
        </option>
      ))}
    </Select>
  );
  return (
    <Dialog open shape="wide" onClose={onClose} title="Side by side">
      <div className="grid grid-cols-2 gap-y-3 sm:grid-cols-[150px_1fr_1fr] [&>*]:pr-6">
        <span className="hidden sm:block" />
        {pick('First', left, setLeft)}
        {pick('Second', right, setRight)}
      </div>
      <table className="mt-4 w-full table-fixed text-left">
        <colgroup>
          <col className="w-[150px]" />
          <col />
          <col />
        </colgroup>
        <tbody>
          <tr className="border-b border-ink">
            <th scope="row" className="py-1.5 font-medium text-soft">
              Standing
            </th>
            <td className="pr-6 font-semibold">{standing(one)}</td>
            <td className="font-semibold">{standing(two)}</td>
          </tr>
          {figures.map((row) => (
            <tr key={row.name} className="border-b border-rule align-top">
              <th scope="row" className="py-1.5 pr-3 font-medium text-soft">
                {row.name}
              </th>
              <td className={clsx('py-1.5 pr-6', row.a !== row.b && 'font-semibold')}>{row.a === '' ? '—' : row.a}</td>
              <td className={clsx('py-1.5', row.a !== row.b && 'font-semibold')}>{row.b === '' ? '—' : row.b}</td>
            </tr>
          ))}
          {rules.map((row) => (
            <tr key={row.ruleId} className="border-b border-rule align-top">
              <th scope="row" className="py-1.5 pr-3 text-sm font-medium break-words text-soft">
                Rule {row.ruleId}
              </th>
              <td className="py-1.5 pr-6">{said(row.a)}</td>
              <td className="py-1.5">{said(row.b)}</td>
            </tr>
          ))}
          <tr className="align-top">
            <th scope="row" className="py-3 pr-3 font-medium text-soft">
              What would have to change
            </th>
            <td className="py-3 pr-6">
              <Needs method={one} needs={aNeeds} />
            </td>
            <td className="py-3">
              <Needs method={two} needs={bNeeds} />
            </td>
          </tr>
        </tbody>
      </table>
    </Dialog>
  );
}
