import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';

/** Fonts that every page is written in, fetched beside its styles: what is drawn first does not move when they come. */
const FONT = /-latin-\d+-normal-[^/]*\.woff2$/;
const fontsAhead: Plugin = {
  name: 'fonts-ahead',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle = {} }) =>
      Object.keys(bundle)
        .filter((file) => FONT.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: true, href: `/${file}` },
          injectTo: 'head' as const,
        })),
  },
};

export default defineConfig({
  // Compressed once here, and never while somebody waits for a page.
  plugins: [
    react(),
    tailwindcss(),
    fontsAhead,
    compression({ algorithms: [defineAlgorithm('gzip', { level: 9 }), 'brotliCompress'], threshold: 1024 }),
  ],
  // Its build for browsers leaves out what a schema says of itself, from which the words of every refusal are made.
  resolve: { alias: [{ find: /^joi$/, replacement: fileURLToPath(import.meta.resolve('joi')) }] },
  worker: { format: 'es' },
  // What it asks of a server's bytes, where there are any.
  define: { Buffer: 'undefined' },
  build: {
    chunkSizeWarningLimit: 700,
    manifest: true,
    // A page's first script is one file, and what most screens take of the core is one more: a file is a round trip.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'] },
            { name: 'core', test: /core[/]src[/]/, minShareCount: 10 },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
});
