import { useMemo } from 'react';
import type { Resolver, ResolverResult } from 'react-hook-form';
import { NOTED_NAMES, ownFieldsOf, type Finding } from '@mendum/core/damage';
import type { Job } from '@mendum/core/job';
import { nested } from '../../form/resolver.ts';
import type { Form } from '../../form/useThing.ts';
import { findingsOf, type FindingDraft } from './draft.ts';

/** A finding being typed; what is handed on are the findings that it makes, one a circuit. */
export type DraftForm = Form<FindingDraft, { readonly findings: readonly Finding[] }>;

/** Where in the form a field of a finding is filled in. */
export function pathOf(name: string, { kind }: FindingDraft): string {
  if ((NOTED_NAMES as readonly string[]).includes(name)) return `noted.${name}`;
  if (name === 'at') return 'atNodeId';
  if (name === 'otherEnd') return 'otherPlace';
  const own = ownFieldsOf(kind)[name];
  return own?.type === 'count' || own?.type === 'length' || own?.type === 'amps' || own?.type === 'ofSame'
    ? `own.${name}`
    : name;
}

/** Checks a draft against the job that it is for. */
export const useDraftResolver = (job: Job): Resolver =>
  useMemo(
    () =>
      (typed): ResolverResult => {
        const draft = typed as FindingDraft;
        const others = job.findings.filter(({ id }) => id !== draft.id);
        const result = findingsOf(draft, { ...job, findings: others });
        if (result.ok) return { values: { findings: result.findings }, errors: {} };
        const wrongs = Object.entries(result.wrong).map(([name, words]) => [pathOf(name, draft), words] as const);
        return { values: {}, errors: nested(Object.fromEntries(wrongs)) };
      },
    [job],
  );
