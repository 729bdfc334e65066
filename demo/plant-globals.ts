import { writeIecText, writePlcopen } from '@dialoga/core/formats';
import type { Project } from '@dialoga/core/model';
import { exportTags } from '@dialoga/core/tags';

/** PlantCtl's global variables as declarations of IEC 61131-3. */
export const plantGlobalsText = (project: Project): string => writeIecText(exportTags(project, 'plantctl'));

/** The same tags as PLCopen XML. */
export const plantGlobalsXml = (project: Project): string =>
  writePlcopen(exportTags(project, 'plantctl'), 'PlantCtl', '2026-04-14T09:00:00');
