import type { Choice } from '../approach/index.ts';
import type { Finding } from '../damage/index.ts';
import type { Circuit } from '../harness/index.ts';
import type { SigningRules } from '../practice/index.ts';
import { nameKey } from './name.ts';
import type { Role } from './people.ts';

/** What of a job says who may sign it. */
export interface ToSign {
  readonly job: {
    readonly findings: readonly Pick<Finding, 'circuitId'>[];
    readonly choices: readonly Pick<Choice, 'findingId'>[];
    readonly harness: { readonly circuits: readonly Pick<Circuit, 'id' | 'kind'>[] };
  };
  readonly ticks: readonly { readonly done: boolean; readonly by: string }[];
}

/** Why a lead is asked for; nothing where none is. */
function whyLead({ job: { findings, choices, harness } }: ToSign): string | undefined {
  const damaged = new Set(findings.map(({ circuitId }) => circuitId));
  const kinds = new Set(harness.circuits.filter(({ id }) => damaged.has(id)).map(({ kind }) => kind));
  if (kinds.has('airbag')) return 'an airbag circuit was repaired';
  if (kinds.has('highVoltage')) return 'a high-voltage circuit was repaired';
  return choices.length > 0 ? 'something was chosen against the ranking' : undefined;
}

/**
 * Why somebody may not sign a job; nothing where they may.
 * @param rules of the practice of the job, and of the one that the shop usually works by: what either asks holds
 */
export function whyNotSigned(
  who: { readonly name: string; readonly role: Role },
  rules: readonly (SigningRules | undefined)[],
  toSign: ToSign,
): string | undefined {
  if (rules.some((one) => one?.another === true)) {
    const makers = new Set(toSign.ticks.filter(({ done }) => done).map(({ by }) => nameKey(by)));
    if (makers.size === 0) return 'No step is ticked, so nobody knows who made it. Tick what was done on the bench.';
    if (makers.has(nameKey(who.name))) return `${who.name} made part of this: somebody else signs it.`;
  }
  const because = rules.some((one) => one?.lead === true) ? whyLead(toSign) : undefined;
  if (because !== undefined && who.role !== 'lead' && who.role !== 'admin') return `A lead signs this: ${because}.`;
  return undefined;
}

/** What asks for the PIN or passphrase once more, by whoever is signed in. */
export const asksSecret = (name: string, args: { readonly use?: unknown }): boolean =>
  name === 'sign' || name === 'correctRecord' || name === 'setDue' || (name === 'choose' && args.use !== null);
