import { createHash } from 'node:crypto';
import type { Plugin } from 'vite';

const WORKER = 'service-worker.js';

/** Tells the service worker which files the page has. Names under `assets` change with what is in them; others get a digest. */
export function pageFiles(): Plugin {
  return {
    name: 'page-files',
    enforce: 'post',
    apply: 'build',
    generateBundle: {
      order: 'post',
      handler(_, bundle) {
        const worker = bundle[WORKER];
        if (worker?.type !== 'chunk') throw new Error(`${WORKER} is not built`);
        const files = Object.values(bundle).flatMap((file) => {
          if (file.fileName === WORKER || /\.(map|gz)$/.test(file.fileName)) return [];
          const named = file.fileName.startsWith('assets/');
          const content = file.type === 'chunk' ? file.code : file.source;
          const revision = named ? null : createHash('sha256').update(content).digest('hex').slice(0, 16);
          return [{ url: `/${file.fileName}`, revision }];
        });
        worker.code = worker.code.replaceAll('__PAGE_FILES__', JSON.stringify(files));
      },
    },
  };
}
