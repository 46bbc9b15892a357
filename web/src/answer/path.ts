import type { AnsweredAt } from '@mendum/core/approach';

/** What the address of a field needs besides the field. */
export interface Around {
  readonly jobId: string;
  readonly harnessId: string;
}

/** The name that a field carries in its form, so that the address can point at it. */
export const fieldName = {
  gate: (entry: string): string => `gate.${entry}`,
  fitting: (cavity: string): string => `fitting.${cavity}`,
};

const address = (path: string, search: Readonly<Record<string, string>>): string =>
  `${path}?${new URLSearchParams(search).toString()}`;

/** Where the field stands that answers what is asked: the page that opens it and puts the cursor in it. */
export function pathOf(at: AnsweredAt, { jobId, harnessId }: Around): string {
  const harness = `/machines/${encodeURIComponent(harnessId)}`;
  const survey = `/jobs/${encodeURIComponent(jobId)}/survey`;
  switch (at.on) {
    case 'finding':
      return address(survey, { finding: at.findingId, field: at.field });
    case 'gate':
      return address(survey, { field: fieldName.gate(at.entry) });
    case 'fitting':
      return address(harness, { node: at.nodeId, field: fieldName.fitting(at.cavity) });
    case 'node':
      return address(harness, { node: at.nodeId, field: at.field });
    case 'circuit':
      return address(harness, { edit: at.circuitId, field: at.field });
    case 'run':
      return address(harness, { run: at.runId, field: at.field });
    case 'shelf':
      return address('/shelf', { find: at.name });
    case 'practice':
      return '/practice';
  }
}

const WORDS: Readonly<Record<AnsweredAt['on'], string>> = {
  finding: 'Change it in the finding',
  gate: 'To the gate',
  fitting: 'Note it at the connector',
  node: 'Note it at the connector',
  circuit: 'Change the circuit',
  run: 'Change the run',
  shelf: 'To the shelf',
  practice: 'To the practice',
};

/** What the link to a field says. */
export const linkWords = (at: AnsweredAt): string =>
  at.on === 'finding' && at.field === 'slackMm' ? 'Note the slack' : WORDS[at.on];
