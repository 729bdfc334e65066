import { defineConfig } from 'rolldown';

/** The code of a thread in a few files: loaded from some thousand, a thread needs seconds before it can begin. */
export default defineConfig({
  input: 'dist/thread.js',
  platform: 'node',
  external: [/^piscina$/],
  output: { dir: 'dist/thread', format: 'esm', cleanDir: true },
  logLevel: 'silent',
});
