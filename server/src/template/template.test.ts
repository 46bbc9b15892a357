import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NO_WISHES, openedParts } from '@mendum/core/layout';
import { TEMPLATE_MOST_MM } from '@mendum/core/operations';
import type { Plan } from '@mendum/core/plan';
import { JobEntity } from '../db/entities.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';
import { templateSvg, touchedCircuits } from './drawing.ts';
import { sheetsOf, templatePdf } from './pdf.ts';
import { stretchesOf } from './stretches.ts';

let server: TestServer;
let plan: Plan;
beforeAll(async () => {
  server = await startServer();
  await makeSafe(server, '0147');
  plan = await server.plan('0147');
}, 60_000);
afterAll(() => server.close());

const of = async () => {
  const { job } = await server.job('0147');
  const run = job.harness.runs[0]!;
  return { job, plan, run, runPlan: plan.runs.find((one) => one.runId === run.id)! };
};

describe('the template', () => {
  it('has a drawing of which one unit is one millimetre, with splices at their true length', async () => {
    const template = await of();
    const svg = templateSvg(template, { fromMm: 0, toMm: 1100, circuits: touchedCircuits(template) });
    expect(svg).toMatch(/^<svg [^>]*width="1100\.000mm"[^>]*viewBox="0 0 1100\.000 /);
    for (const splice of plan.findings.flatMap((finding) => finding.splices)) {
      expect(svg).toContain(`<rect x="${splice.fromMm.toFixed(3)}"`);
      expect(svg).toContain(`width="${(splice.toMm - splice.fromMm).toFixed(3)}"`);
    }
    for (const finding of plan.findings.filter((one) => one.splices.length > 0))
      expect(svg).toContain(`>cut ${String(Math.round(finding.x1Mm * 10) / 10)}<`);
  });
  it('is printed so that 100 mm of it are 100 mm of paper', async () => {
    const template = await of();
    const pdf = (await templatePdf(template, stretchesOf(template), false)).toString('latin1');
    // What the drawing is scaled by in the page: points in a millimetre, and nothing else on top of it.
    const scales = [...pdf.matchAll(/^(\d+\.\d+) 0 0 (\d+\.\d+) 0 0 cm$/gm)].map((match) => [
      Number(match[1]),
      Number(match[2]),
    ]);
    expect(scales.length).toBeGreaterThan(0);
    for (const [across, down] of scales) {
      expect(across).toBeCloseTo(72 / 25.4, 4);
      expect(down).toBeCloseTo(72 / 25.4, 4);
    }
  });
  it('covers all that is opened, on sheets that overlap and begin at whole centimetres', async () => {
    const template = await of();
    const sheets = sheetsOf(template, stretchesOf(template));
    const opened = template.runPlan.opened!;
    expect(sheets[0]!.fromMm).toBeLessThanOrEqual(opened.fromMm);
    expect(sheets.at(-1)!.toMm).toBeGreaterThanOrEqual(opened.toMm);
    sheets.slice(1).forEach((sheet, index) => expect(sheets[index]!.toMm - sheet.fromMm).toBe(10));
    expect(sheets.every((sheet) => sheet.fromMm % 10 === 0)).toBe(true);
  });
  it.each(['٠١٤٧', '工-7', 'a"b', 'ö/1', '0147'])(
    'of a job numbered %s is fetched, and its file is named',
    async (number) => {
      const at = await server.at('0147');
      const id = at.slice('/jobs/'.length);
      await server.db.write((manager) => manager.update(JobEntity, { id }, { number }));
      try {
        for (const [ending, kind] of [
          ['pdf', 'inline'],
          ['svg', 'attachment'],
        ] as const) {
          const { headers } = await server.http.get(`/api${at}/template/R1.${ending}`).expect(200);
          expect(headers['content-disposition']).toMatch(new RegExp(`^${kind}; filename`));
          expect(headers['content-disposition']).toMatch(/^[\x20-\x7e]+$/);
        }
      } finally {
        await server.db.write((manager) => manager.update(JobEntity, { id }, { number: '0147' }));
      }
    },
  );
  it('is fetched as PDF and as SVG; a run that is not there, or with nothing to do, is refused', async () => {
    const at = await server.at('0147');
    await server.http.get(`/api${at}/template/R1.pdf`).expect(200).expect('content-type', /pdf/);
    await server.http.get(`/api${at}/template/R1.svg`).expect(200).expect('content-type', /svg/);
    expect((await server.http.get(`/api${at}/template/R9.pdf`).expect(404)).body).toMatchObject({
      error: { message: expect.stringContaining('R9') as string, hint: expect.stringContaining('R1') as string },
    });
    expect((await server.http.get(`/api${at}/template/R2.svg`).expect(404)).body).toMatchObject({
      error: { message: expect.stringContaining('nothing to lay under') as string },
    });
  });
});

describe('what of a run the template shows', () => {
  const RUN = {
    id: 'R1',
    name: 'Frame run',
    fromNodeId: 'A',
    toNodeId: 'B',
    lengthMm: 1_000_000,
    zone: {},
    features: [],
  };
  /** A run of a kilometre with splices, each 40 mm long with its loss, at these places. */
  const withSplices = (...places: readonly number[]) =>
    ({
      run: RUN,
      runPlan: { openedParts: openedParts(places.map((mm) => ({ fromMm: mm - 20, toMm: mm + 20 }))) },
    }) as unknown as Parameters<typeof stretchesOf>[0];
  it.each([
    ['one splice and 100 mm on each side', [5000], [[4880, 5120]]],
    ['two that lie 150 mm apart, as one', [5000, 5190], [[4880, 5310]]],
    [
      'two with a gap between that stays closed, each for itself',
      [5000, 5500],
      [
        [4880, 5120],
        [5380, 5620],
      ],
    ],
    ['one at the end, no farther than the run goes', [40], [[0, 160]]],
  ])('%s', (_, places, shown) =>
    expect(stretchesOf(withSplices(...places)).map(({ fromMm, toMm }) => [fromMm, toMm])).toEqual(shown),
  );
  it('a part that is asked for, up to what is drawn at once', () => {
    const of = withSplices(5000);
    expect(stretchesOf(of, { fromMm: 12, toMm: TEMPLATE_MOST_MM })).toEqual([{ fromMm: 10, toMm: TEMPLATE_MOST_MM }]);
    expect(() => stretchesOf(of, { fromMm: 0, toMm: TEMPLATE_MOST_MM + 10 })).toThrow(/10010 mm long; 10000 mm/);
    expect(() => stretchesOf(of, { fromMm: 0 })).toThrow(/1000000 mm long/);
    expect(() => stretchesOf(of, { fromMm: 700, toMm: 700 })).toThrow(/no part of Frame run/);
  });
  it('more than is drawn at once, opened all along, is refused with what to ask for', () => {
    const all = withSplices(...Array.from({ length: 60 }, (_, index) => 1000 + 190 * index));
    expect(() => stretchesOf(all)).toThrow(/10000 mm are drawn at once/);
  });
  it('of a job is asked for by its address', async () => {
    const at = await server.at('0147');
    const { body } = await server.http.get(`/api${at}/template/R1.svg?fromMm=0&toMm=300`).expect(200);
    expect((body as Buffer).toString()).toMatch(/^<svg [^>]*width="300\.000mm"/);
    expect((await server.http.get(`/api${at}/template/R1.pdf?fromMm=900&toMm=100`).expect(422)).body).toMatchObject({
      error: { code: 'BAD_INPUT', field: '/fromMm' },
    });
  });
});

describe('wishes for the layout', () => {
  const put = async (layout: object) => {
    const { version } = await server.job('0147');
    return server.write('put', `${await server.at('0147')}/layout`, { version, layout: { ...NO_WISHES, ...layout } });
  };
  const centre = async (id: string): Promise<number | undefined> =>
    (await server.plan('0147')).findings.flatMap((finding) => finding.splices).find((splice) => splice.id === id)
      ?.centreMm;

  it('a pin is kept, and the rest is laid out around it', async () => {
    expect((await put({ pins: [{ findingId: 'F1', side: 'right', centreMm: 700 }] })).status).toBe(200);
    expect(await centre('F1:right')).toBe(700);
    expect((await server.plan('0147')).runs[0]!.reached.objective).toMatchObject({ over: 1, pairs: 0, clearMm: 40 });
  });
  it('places that are kept stay, even where a search would do better', async () => {
    const now = (await server.plan('0147')).findings
      .flatMap((finding) => finding.splices)
      .map(({ findingId, side, centreMm }) => ({ findingId, side, centreMm }));
    const moved = now.map((place) =>
      place.findingId === 'F1' && place.side === 'right' ? { ...place, centreMm: 710 } : place,
    );
    expect((await put({ found: moved })).status).toBe(200);
    expect(await centre('F1:right')).toBe(710);
    expect((await put({})).status).toBe(200);
    expect(await centre('F1:right')).not.toBe(710);
  });
  it.each([
    [
      'in a stretch that bends',
      { pins: [{ findingId: 'F1', side: 'left', centreMm: 560 }] },
      422,
      'PLACE_NOT_LEGAL',
      'may not lie at 560 mm',
    ],
    [
      'of a finding that is not there',
      { pins: [{ findingId: 'F99', side: 'left', centreMm: 200 }] },
      404,
      'NOT_FOUND',
      'F99',
    ],
    [
      'of a side that is not made',
      { pins: [{ findingId: 'F1', side: 'only', centreMm: 200 }] },
      409,
      'NO_SUCH_SPLICE',
      'no splice',
    ],
  ])('a pin %s is refused', async (_where, layout, status, code, words) => {
    const answer = await put(layout);
    expect(answer.status).toBe(status);
    expect(answer.body).toMatchObject({ error: { code, message: expect.stringContaining(words) as string } });
  });
  it('a pin of what is made since, or of a finding that is gone, bars no other wish', async () => {
    const at = await server.at('0144');
    await makeSafe(server, '0144');
    const wish = async (layout: object) =>
      server.write('put', `${at}/layout`, {
        version: (await server.job('0144')).version,
        layout: { ...NO_WISHES, ...layout },
      });
    const spliced = (await server.plan('0144')).findings.find((finding) => finding.splices.length > 0)!;
    const [splice] = spliced.splices;
    const pin = { findingId: spliced.findingId, side: splice!.side, centreMm: splice!.centreMm };
    expect((await wish({ pins: [pin], otherColours: true })).status).toBe(200);
    const wireBefore = (await server.plan('0144')).findings.find(
      (finding) => finding.findingId === pin.findingId,
    )!.insert;
    await server
      .write('put', `${at}/ticks`, { steps: [{ stepId: splice!.steps[0]!.id, spliceId: splice!.id }], done: true })
      .expect(200);
    // Begun: the pin is no wish any more, and leave that is taken back changes no wire that is cut.
    expect((await server.job('0144')).job.layout?.pins).toEqual([]);
    expect((await wish({ otherColours: false })).status).toBe(200);
    expect((await server.plan('0144')).findings.find((finding) => finding.findingId === pin.findingId)!.insert).toEqual(
      wireBefore,
    );

    await put({ pins: [{ findingId: 'F2', side: 'left', centreMm: 300 }] }).then((answer) =>
      expect(answer.status).toBe(200),
    );
    const { findingVersions } = await server.job('0147');
    await server.write('delete', `${await server.at('0147')}/findings/F2`, { version: findingVersions.F2 }).expect(200);
    expect(
      (
        await put({
          pins: [
            { findingId: 'F2', side: 'left', centreMm: 300 },
            { findingId: 'F1', side: 'right', centreMm: 700 },
          ],
        })
      ).status,
    ).toBe(200);
  });
  it('what is being made does not move, and a stale write is refused', async () => {
    const before = await server.plan('0147');
    const splice = before.findings.find((finding) => finding.findingId === 'F1')!.splices[0]!;
    await put({ pins: [{ findingId: 'F1', side: splice.side, centreMm: splice.centreMm }] });
    await server
      .write('put', `${await server.at('0147')}/ticks`, {
        steps: [{ stepId: splice.steps[0]!.id, spliceId: splice.id }],
        done: true,
      })
      .expect(200);
    expect(
      (await put({ pins: [{ findingId: 'F1', side: splice.side, centreMm: splice.centreMm + 5 }] })).body,
    ).toMatchObject({ error: { code: 'HAS_WORK' } });
    expect((await put({})).status).toBe(200);
    expect(await centre(splice.id)).toBe(splice.centreMm);
    expect(
      (await server.write('put', `${await server.at('0147')}/layout`, { version: 1, layout: NO_WISHES })).body,
    ).toMatchObject({ error: { code: 'STALE' } });
  });
});
