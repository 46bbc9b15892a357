import { planOne, warm, type Plan, type Warm } from '@mendum/core/plan';
import type { Planned, PlanInput } from './planned.ts';

let memory: Warm | undefined;
/** What is remembered for one practice and shelf: they stay the same objects while the server says the same. */
const memoryFor = ({ practice, catalogue }: PlanInput): Warm =>
  memory?.practice === practice && memory.catalogue === catalogue ? memory : (memory = warm(practice, catalogue));

const changedIds = <T extends { readonly findingId: string }>(a: readonly T[], b: readonly T[]): string[] =>
  [...a.filter((one) => !b.includes(one)), ...b.filter((one) => !a.includes(one))].map((one) => one.findingId);

/** The one finding that differs between two states of a job; nothing when more does, or none. */
export function onlyChanged(before: PlanInput, now: PlanInput): string | undefined {
  const [a, b] = [before.job, now.job];
  if (
    before.practice !== now.practice ||
    before.catalogue !== now.catalogue ||
    a.harness !== b.harness ||
    a.gate !== b.gate ||
    a.mappings !== b.mappings ||
    a.findings.length !== b.findings.length
  )
    return undefined;
  const ids = new Set([
    ...b.findings.filter((finding, index) => finding !== a.findings[index]).map((finding) => finding.id),
    ...changedIds(a.choices, b.choices),
    ...changedIds(a.redos, b.redos),
    ...changedIds(a.pins, b.pins),
    ...changedIds(a.held ?? [], b.held ?? []),
  ]);
  const [id] = ids;
  return ids.size === 1 ? id : undefined;
}

/** The last plan with the one changed finding planned anew at once; the others may still give way to it. */
export function atOnce(planned: Planned, view: PlanInput): Plan | undefined {
  const { plan } = planned;
  const id = plan ? onlyChanged(planned, view) : undefined;
  if (!plan || id === undefined) return undefined;
  const one = planOne(view.job, plan, id, memoryFor(view));
  return one && { ...plan, findings: plan.findings.map((finding) => (finding.findingId === id ? one : finding)) };
}
