import { STOREYS } from './packages/core/storeys.mjs';

const CORE = '^packages/core/src';
const folders = STOREYS.flat();

/** A folder of the core imports from those before it only: from lower storeys, and from its own to the left. */
const downwards = folders.map((folder, i) => ({
  name: `core/${folder} stands below what it imports`,
  severity: 'error',
  comment: 'Move what is imported down, or what imports it up (packages/core/storeys.mjs).',
  from: { path: `${CORE}/${folder}/`, pathNot: '\\.(test|testing)\\.ts$' },
  to: { path: `${CORE}/(${['entry', 'testing', ...folders.slice(i + 1)].join('|')})/` },
}));

/** Inside the core nobody goes through a face: faces are for those outside. */
const notByFaces = {
  name: 'core not by its own faces',
  severity: 'error',
  from: { path: CORE },
  to: { path: `${CORE}/[^/]+/index\\.ts$` },
};

const noCircles = (name, path) => ({
  name: `${name} without circles between folders`,
  severity: 'error',
  scope: 'folder',
  from: { path },
  to: { circular: true },
});

/** What begins everything stands above all folders. */
const belowTheRoot = (name, path) => ({
  name: `${name} begins at its root, and nothing goes back there`,
  severity: 'error',
  from: { path: `${path}/[^/]+/` },
  to: { path: `${path}/[^/]+\\.tsx?$` },
});

export default {
  forbidden: [
    ...downwards,
    notByFaces,
    noCircles('core', `${CORE}/[^/]+$`),
    noCircles('the page', '^apps/web/src'),
    belowTheRoot('the page', '^apps/web/src'),
    noCircles('the server', '^apps/server/src'),
    belowTheRoot('the server', '^apps/server/src'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(\\.test\\.tsx?$|\\.testing\\.|/testing/|/dist/|node_modules)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs'] },
  },
};
