import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';

export default defineConfig({
  // Compressed once here, and never while somebody waits for a page.
  plugins: [
    react(),
    tailwindcss(),
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
