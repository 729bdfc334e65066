import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { findingWords } from './finding-words';
import { pageFiles } from './page-files';

/** The core is taken as it is written, face by face. */
const core = fileURLToPath(new URL('../../packages/core/src', import.meta.url));

export default defineConfig({
  // Compressed once when it is built, and not at each request; the service worker is finished after that.
  plugins: [
    react(),
    findingWords(),
    pageFiles(),
    compression({ algorithms: ['gzip'], threshold: 1024, exclude: /service-worker/ }),
  ],
  resolve: {
    alias: [
      { find: /^@dialoga\/core\/(\w+)$/, replacement: `${core}/$1/index.ts` },
      { find: 'class-validator', replacement: fileURLToPath(new URL('src/validation-left-out.ts', import.meta.url)) },
    ],
  },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    sourcemap: false,
    rolldownOptions: {
      input: {
        index: fileURLToPath(new URL('index.html', import.meta.url)),
        'service-worker': fileURLToPath(new URL('src/offline/service-worker.ts', import.meta.url)),
      },
      output: {
        // Under a name that stays, at the root: it serves all addresses.
        entryFileNames: ({ name }) => (name === 'service-worker' ? '[name].js' : 'assets/[name]-[hash].js'),
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
});
