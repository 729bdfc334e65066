import { existsSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { writeProject } from '@dialoga/core/file';
import { hardwareList } from './hardware-list.js';
import { kestrelQuay } from './kestrel-quay.js';
import { dockPanelTags, dockPanelTagsNext, skidRegisters } from './panel-points.js';
import { plantGlobalsText, plantGlobalsXml } from './plant-globals.js';
import { siteScan } from './site-scan.js';
import { skidList } from './skid-list.js';
import writeWorkbook from 'write-excel-file/node';

/** Writes the demo's files: both projects and the lists to paste and import. */
const folder = join(dirname(fileURLToPath(import.meta.url)), '..');
writeFileSync(join(folder, 'kestrel-quay.dialoga.json'), writeProject(kestrelQuay(false)));
writeFileSync(join(folder, 'kestrel-quay-as-agreed.dialoga.json'), writeProject(kestrelQuay(true)));
writeFileSync(join(folder, 'skid-list.tsv'), skidList());
writeFileSync(join(folder, 'hardware-list.csv'), hardwareList());
writeFileSync(join(folder, 'site-scan.csv'), siteScan());
writeFileSync(join(folder, 'dock-panel-tags.csv'), dockPanelTags());
writeFileSync(join(folder, 'dock-panel-tags-next.csv'), dockPanelTagsNext());
writeFileSync(join(folder, 'plant-globals.st'), plantGlobalsText(kestrelQuay(false)));
writeFileSync(join(folder, 'plant-globals.xml'), plantGlobalsXml(kestrelQuay(false)));
// A workbook carries the moment of its writing: it is written once, and the tests read what is in it.
const workbook = join(folder, 'skid-registers.xlsx');
if (!existsSync(workbook)) {
  const rows = skidRegisters().map((row) => row.map((value) => ({ value, type: String })));
  await writeWorkbook(rows, { sheet: 'Registers' }).toFile(workbook);
}
