import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { findingWords } from './finding-words';

/** The core is taken as it is written, face by face. */
const core = fileURLToPath(new URL('../../packages/core/src', import.meta.url));

export default defineConfig({
  // Compressed once when it is built, and not at each request.
  plugins: [react(), findingWords(), compression({ algorithms: ['gzip'], threshold: 1024 })],
  resolve: {
    alias: [
      { find: /^@dialoga\/core\/(\w+)$/, replacement: `${core}/$1/index.ts` },
      { find: 'class-validator', replacement: fileURLToPath(new URL('src/validation-left-out.ts', import.meta.url)) },
    ],
  },
  worker: { format: 'es' },
  build: { target: 'es2022', sourcemap: false },
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
});
