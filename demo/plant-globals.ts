import { exportTags, writeIecText, writePlcopen, type Project } from '@dialoga/core';

/** PlantCtl's global variables as declarations of IEC 61131-3. */
export const plantGlobalsText = (project: Project): string => writeIecText(exportTags(project, 'plantctl'));

/** The same tags as PLCopen XML. */
export const plantGlobalsXml = (project: Project): string =>
  writePlcopen(exportTags(project, 'plantctl'), 'PlantCtl', '2026-04-14T09:00:00');
