import { writeProject } from '@dialoga/core/file';
import { Project } from '@dialoga/core/model';
import { browserRows } from './browser.js';
import { coreRows } from './core.js';
import { generate } from './generate.js';
import { liveRows } from './live.js';
import { rehearsalRows } from './rehearsal.js';
import { routeRows } from './routes.js';
import { printed } from './row.js';
import { serverRows } from './server.js';
import { tagRows } from './tags.js';
import { siteRows } from './site.js';
import { wiringRows } from './wiring.js';

const only = process.argv[2];
const entities = generate({ stations: 200, lanes: 5000, itemsPerLane: 20 });
const file = writeProject(Project.of(entities));
const rows = [
  ...(only && only !== 'core' ? [] : [...coreRows(file), ...wiringRows(entities), ...siteRows(entities)]),
  ...(only && only !== 'tags' ? [] : tagRows()),
  ...(only && only !== 'routes' ? [] : routeRows()),
  ...(only && only !== 'rehearsal' ? [] : rehearsalRows(entities)),
  ...(only && only !== 'live' ? [] : await liveRows()),
  ...(only && only !== 'server' ? [] : await serverRows(file)),
  ...(only && only !== 'browser' ? [] : await browserRows(file)),
];
console.log(`Node ${process.version}, ${process.platform} ${process.arch}\n\n${printed(rows)}`);
process.exitCode = rows.every((r) => r.met) ? 0 : 1;
