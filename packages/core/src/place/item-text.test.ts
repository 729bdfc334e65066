import fc from 'fast-check';
import { formatItemText, judgeItemText, parseItemText } from './item-text.js';
import { formatStationText, parseStationText } from '../told/station-text.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, edited } from '../testing/two-stations.testing.js';

const TEMPLATES = ['{group}.{tag}[{element}]', '{group}/{tag}({element})', '{group}!{tag}.{element}', '{group}:{tag}'];

test('what is written by a template is read back', () => {
  const word = fc.stringMatching(/^[A-Za-z][A-Za-z0-9_]{0,8}$/);
  const parts = fc.record({ group: word, tag: word, element: fc.option(fc.integer({ min: 0, max: 9999 })) });
  fc.assert(
    fc.property(fc.constantFrom(...TEMPLATES), parts, (template, typed) => {
      const named = template.includes('{element}') ? typed : { ...typed, element: null };
      expect(parseItemText(template, formatItemText(template, named))).toEqual({ ok: true, value: named });
    }),
  );
  expect(parseItemText(TEMPLATES[0]!, 'no group here')).toMatchObject({ ok: false });
});

const server = () =>
  edited(
    added(smallPlant(), 'tag', {
      id: 'states',
      order: 1,
      station: 'sb',
      name: 'States',
      type: { base: 'WORD', count: 4 },
      place: null,
    }),
    [
      'station',
      'sa',
      'groups',
      { g: { order: 1, name: 'Plant', station: 'sb' }, h: { order: 2, name: 'Yard', station: 'sc' } },
    ],
  );
const judge = (text: string) => {
  const project = server();
  const { place, fault } = judgeItemText(project, project.get('station', 'sa')!, text, 'sb');
  return fault ? [fault.part, fault.names] : place;
};

test('a text is judged part by part: group, tag, element; what is there in its place is named', () => {
  expect(judge('Plant.States[3]')).toEqual({ area: 'states', view: 'tag', number: 3 });
  expect(judge('plant.states')).toEqual({ area: 'states', view: 'tag', number: 0 });
  expect(judge('Plnt.States')).toEqual(['group', ['Plant']]);
  expect(judge('Yard.States')).toEqual(['group', ['Plant']]);
  expect(judge('Plant.Statse')).toEqual(['tag', expect.arrayContaining(['States'])]);
  expect(judge('Plant.States[4]')).toEqual(['element', ['3']]);
  expect(judge('States')).toEqual(['text', []]);
});

test('address, port and unit in one text', () => {
  const parts = { address: '10.48.10.11', port: '502', unit: '7' };
  for (const template of ['{address}:{port}/{unit}', '{address},{port},{unit}', 'tcp://{address}:{port}?{unit}']) {
    expect(parseStationText(template, formatStationText(template, parts))).toEqual({ ok: true, value: parts });
  }
  expect(parseStationText('{address}:{port}/{unit}', '10.48.10.11')).toMatchObject({ ok: false });
});
