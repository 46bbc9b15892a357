interface OldRun {
  readonly id?: unknown;
  readonly name?: unknown;
  readonly cable?: { readonly outerMm?: unknown; readonly unusedCores?: unknown };
}
interface OldHarness {
  readonly runs?: readonly OldRun[];
  readonly circuits?: readonly { readonly id?: unknown; readonly runIds?: unknown }[];
  readonly cables?: unknown;
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

/**
 * A job file of before cables were things of their own: a run said that it was one. Each becomes a cable along its run,
 * with every circuit of that run as a core. Anything else is left as it came, for the schema to judge.
 */
export function withCablesApart(raw: unknown): unknown {
  if (!isObject(raw) || !isObject(raw.job) || !isObject(raw.job.harness)) return raw;
  const harness = raw.job.harness as OldHarness;
  const { runs, circuits } = harness;
  if (!Array.isArray(runs) || !runs.some((run) => isObject(run) && isObject(run.cable))) return raw;
  const cores = (runId: unknown): unknown[] =>
    (Array.isArray(circuits) ? circuits : [])
      .filter((circuit) => isObject(circuit) && Array.isArray(circuit.runIds) && circuit.runIds.includes(runId))
      .map(({ id }) => id as unknown);
  const cables = (runs as readonly OldRun[]).flatMap((run) =>
    run.cable
      ? [
          {
            id: `cable-${String(run.id)}`,
            name: `Cable of ${String(run.name)}`,
            outerMm: run.cable.outerMm,
            runIds: [run.id],
            coreIds: cores(run.id),
            spares: Array.from({ length: Number(run.cable.unusedCores ?? 0) }, () => ({})),
          },
        ]
      : [],
  );
  const bare = (runs as readonly OldRun[]).map(({ cable: _, ...run }) => run);
  return { ...raw, job: { ...raw.job, harness: { ...harness, runs: bare, cables } } };
}
