import { describe, expect, it, test } from 'vitest';
import { jobWith, wire } from '../test/samples.ts';
import { FULL_SHELF } from '../catalogue/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { JobFileRefused, readJobFile, writeJobFile } from './index.ts';

const job = jobWith([], { circuits: [{ wire: wire(0.75) }, { wire: wire(0.75) }] });
const file = JSON.parse(JSON.stringify(writeJobFile(job, CRIMP_FIRST, FULL_SHELF))) as {
  job: { harness: { runs: object[] } };
};
const withCable = (cable: unknown): string => {
  const { harness } = file.job;
  const runs = harness.runs.map((run, index) => (index === 0 ? { ...run, cable } : run));
  return JSON.stringify({ ...file, job: { ...file.job, harness: { ...harness, runs } } });
};

describe('a job file of before cables were things of their own', () => {
  it('gives each run that was one a cable, with every wire there as its core', () => {
    const { harness } = readJobFile(withCable({ outerMm: 8.2, unusedCores: 2 })).job;
    const [run] = job.harness.runs;
    expect(harness.cables).toEqual([
      {
        id: `cable-${run!.id}`,
        name: `Cable of ${run!.name}`,
        outerMm: 8.2,
        runIds: [run!.id],
        coreIds: job.harness.circuits.map(({ id }) => id),
        spares: [{}, {}],
      },
    ]);
    expect(harness.runs[0]).not.toHaveProperty('cable');
  });
  it('one without any reads as before', () =>
    expect(readJobFile(JSON.stringify(file)).job.harness).not.toHaveProperty('cables'));
  test.each([
    [{ outerMm: -1 }, '/job/harness/cables/0/outerMm'],
    [{ outerMm: 'thick' }, '/job/harness/cables/0/outerMm'],
  ])('what cannot be is refused at its place: %o', (cable, pointer) => {
    try {
      readJobFile(withCable(cable));
    } catch (error) {
      if (error instanceof JobFileRefused) return expect(error.problems.map((one) => one.pointer)).toContain(pointer);
    }
    expect.unreachable('it was taken');
  });
});
