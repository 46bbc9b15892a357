import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import express, { type Router } from 'express';
import { openApi } from '@mendum/core/interchange';
import { file, read } from '../http/serve.ts';

const FILES = dirname(createRequire(import.meta.url).resolve('swagger-ui-dist/package.json'));

const PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>Mendum: the server’s interface</title>
    <link rel="icon" href="data:," />
    <link rel="stylesheet" href="/api/docs/files/swagger-ui.css" />
  </head>
  <body>
    <div id="api"></div>
    <script src="/api/docs/files/swagger-ui-bundle.js"></script>
    <script src="/api/docs/begin.js"></script>
  </body>
</html>
`;

// Nothing is asked of anybody else: no validator, no fonts.
const BEGIN = `SwaggerUIBundle({
  url: '/api/openapi.json',
  dom_id: '#api',
  validatorUrl: null,
  docExpansion: 'list',
  defaultModelsExpandDepth: 0,
});
`;

/** The interface of the server: described for machines, and shown to people. */
export function docsRoutes(router: Router, version: string): void {
  let description: object | undefined;
  read(router, 'description', () => (description ??= openApi(version)));
  router.use('/docs/files', express.static(FILES, { index: false, maxAge: '1d' }));
  router.get('/docs/begin.js', (_req, res) => {
    res.type('text/javascript').send(BEGIN);
  });
  file(router, 'docs', ({ res }) => {
    res.type('html').send(PAGE);
    return Promise.resolve();
  });
}
