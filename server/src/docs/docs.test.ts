import { Ajv2020 } from 'ajv/dist/2020.js';
import { Router } from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { OPERATIONS, type Operation } from '@mendum/core/operations';
import { createApp } from '../app.ts';
import { openDatabase, type Database } from '../db/open.ts';

interface Layer {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle?: { readonly stack?: readonly Layer[] };
}
interface Described {
  readonly openapi: string;
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operated>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, object>> };
}
interface Operated {
  readonly operationId: string;
  readonly parameters: readonly { readonly name: string; readonly in: string }[];
}

let db: Database;
let app: ReturnType<typeof createApp>;
let described: Described;
beforeAll(async () => {
  db = await openDatabase(':memory:');
  app = createApp({ db, log: pino({ level: 'silent' }), photosDir: '/nowhere', version: '7.8.9' });
  described = (await request(app).get('/api/openapi.json')).body as Described;
});
afterAll(() => db.close());

/** Every route of the application, as the platform has it. */
function routes(stack: readonly Layer[]): string[] {
  return stack.flatMap(({ route, handle }) =>
    route
      ? Object.keys(route.methods).map((method) => `${method.toUpperCase()} ${route.path}`)
      : handle?.stack
        ? routes(handle.stack)
        : [],
  );
}
const inOrder = (list: readonly string[]): readonly string[] => [...list].sort();

describe('the description of the interface', () => {
  it('has every route that there is, and no other', () => {
    const { stack } = (app as unknown as { router: { stack: readonly Layer[] } }).router;
    const there = routes(stack).filter((route) => !route.endsWith('/docs/begin.js') && !route.endsWith('/{*path}'));
    const listed = Object.values<Operation>(OPERATIONS).map(({ method, path }) => `${method} ${path}`);
    expect(inOrder(there)).toEqual(inOrder(listed));
    const written = Object.entries(described.paths).flatMap(([path, of]) =>
      Object.keys(of).map((method) => `${method.toUpperCase()} ${path.replace(/\{(\w+)\}/g, ':$1')}`),
    );
    expect(inOrder(written)).toEqual(inOrder(listed));
  });
  it('finds a route that nobody described', () => {
    const router = Router();
    router.get('/secret', (_req, res) => void res.end());
    expect(routes((router as unknown as { stack: readonly Layer[] }).stack)).toEqual(['GET /secret']);
  });
  it('is of this version, names each operation once and each of its parameters', () => {
    expect(described).toMatchObject({ openapi: '3.1.0', info: { version: '7.8.9' } });
    const all = Object.values(described.paths).flatMap((of) => Object.values(of));
    expect(new Set(all.map(({ operationId }) => operationId)).size).toBe(Object.keys(OPERATIONS).length);
    for (const [path, of] of Object.entries(described.paths))
      for (const { parameters } of Object.values(of))
        expect(parameters.filter((one) => one.in === 'path').map(({ name }) => `{${name}}`)).toEqual(
          path.match(/\{\w+\}/g) ?? [],
        );
  });
  it('has schemas that can be read, and points at none that is not there', () => {
    const ajv = new Ajv2020({ strict: false });
    for (const [name, schema] of Object.entries(described.components.schemas))
      ajv.addSchema(JSON.parse(JSON.stringify(schema).replaceAll('#/components/schemas/', '')) as object, name);
    for (const name of Object.keys(described.components.schemas)) expect(ajv.getSchema(name)).toBeDefined();
    expect(Object.keys(described.components.schemas)).toEqual(
      expect.arrayContaining(['job', 'finding', 'circuit', 'part', 'practice', 'reading', 'record', 'harnessEdit']),
    );
  });
});

describe('the page of the interface', () => {
  it('loads nothing from outside, and every file that it names is there', async () => {
    const page = await request(app).get('/api/docs');
    expect(page.headers['content-security-policy']).toContain("script-src 'self'");
    const named = [...page.text.matchAll(/(?:src|href)="([^"]+)"/g)].map(([, address = '']) => address);
    for (const address of named.filter((one) => one !== 'data:,')) {
      expect(address).toMatch(/^\/api\/docs\//);
      expect((await request(app).get(address)).status).toBe(200);
    }
    expect(named.length).toBeGreaterThan(3);
  });
});
