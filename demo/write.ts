import { writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { writeProject } from '@dialoga/core';
import { hardwareList } from './hardware-list.js';
import { kestrelQuay } from './kestrel-quay.js';
import { skidList } from './skid-list.js';

/** Writes the demo's files: both projects and the lists to paste and import. */
const folder = join(dirname(fileURLToPath(import.meta.url)), '..');
writeFileSync(join(folder, 'kestrel-quay.dialoga.json'), writeProject(kestrelQuay(false)));
writeFileSync(join(folder, 'kestrel-quay-as-agreed.dialoga.json'), writeProject(kestrelQuay(true)));
writeFileSync(join(folder, 'skid-list.tsv'), skidList());
writeFileSync(join(folder, 'hardware-list.csv'), hardwareList());
