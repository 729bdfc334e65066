import { parseLength } from '../place/length.js';
import { nameAndElement } from '../place/notations/name-and-element.js';
import { parseType } from '../data/types.js';
import { parseAccepted } from '../rack/revisions.js';
import { Project } from '../model/project.js';
import { readType } from '../structure/type-text.js';
import { typeReader } from '../tags/import/type-reader.js';
import { parseItemText } from '../place/item-text.js';
import { parseScaling } from '../data/scaling.js';
import { seriesName } from '../tags/series.js';
import { parseStationText } from '../told/station-text.js';
import { parseSerial } from '../wiring/serial-settings.js';

/** Texts that make a careless pattern try every way of dividing them; with one of those this file would take hours. */
const HOSTILE = [
  ' ',
  '\t \t',
  '1',
  'a',
  '_',
  '1,111',
  '1a',
  'x 1 ',
  '[1]',
  '{tag}',
  '.-',
  ': ',
  'ARRAY [0..1] OF ',
  '×1',
]
  .map((unit) => unit.repeat(4000 / unit.length))
  .flatMap((run) => [`${run}!`, `a${run}!`, `INT${run}!`, `9600${run}8N1!`]);

const view = { name: '', order: 1, unit: 16, first: 0, notation: 'name and element', prefix: 'a' } as never;
const reads = typeReader(Project.of({}), []);
const READERS: Record<string, (text: string) => unknown> = {
  type: parseType,
  'type or structure': (text) => readType(Project.of({}), text),
  'type of a list': reads,
  length: (text) => parseLength(text, 16),
  element: (text) => nameAndElement.parse(text, view),
  serial: parseSerial,
  revisions: parseAccepted,
  scaling: parseScaling,
  series: (text) => seriesName(text, 7),
  'item text': (text) => parseItemText('{group}{tag}{element}', text),
  'station text': (text) => parseStationText('{address}{port}{unit}', text),
};

test.each(Object.keys(READERS))('%s: a hostile text is read or refused', (name) => {
  for (const text of HOSTILE) expect(READERS[name]!(text)).not.toBeUndefined();
});
