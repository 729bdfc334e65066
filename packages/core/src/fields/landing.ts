import { readable } from '../model/as-typed.js';
import type { Landing } from '../model/landing.js';
import type { Project } from '../model/project.js';
import { LANDING_ROLES } from '../model/words.js';
import { memoriesOf } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import { placeText } from '../place/place-text.js';
import { pointText } from '../place/point-text.js';
import { slotName } from '../rack/slots.js';
import { changed } from '../text/field-edit.js';
import { entityRows, type Field } from './field.js';
import { ofEntity } from './simple-fields.js';

const { text, note, word, whole, put } = ofEntity('landing');

const size = (field: 'inputs' | 'outputs', title: string): Field<Landing> => ({
  title,
  width: 60,
  mono: true,
  right: true,
  ...whole(field, 0, 100_000, 'a size in bytes', { nothing: null }),
  shown: (landing) => (landing[field] === 0 ? '' : undefined),
  examples: ['4'],
  help: 'How many bytes of it this controller has entered.',
});

/** An address that cannot be read stays as typed. */
const place = (field: 'inputsAt' | 'outputsAt', title: string, examples: string[]): Field<Landing> => ({
  title,
  width: 96,
  mono: true,
  examples,
  help: 'Where it lies in this controller’s image.',
  text: (landing, project) => {
    const value = landing[field];
    return !value ? '' : 'typed' in value ? value : placeText(project, value);
  },
  edit: (landing, typed, { project }) => {
    if (typed === '') return put(landing, field, null);
    const known = readable(landing[field]);
    if (known && placeText(project, known) === typed) return changed();
    const memories = memoriesOf(project, landing.station);
    const meant = memories.filter((m) => m.area.id === known?.area);
    const read = parseAddress(typed, [...meant, ...memories]);
    return put(landing, field, read.ok ? read.value : { typed });
  },
});

/** What a controller says of each module that it claims, in its own rack or in another's. */
export const LANDING = entityRows('landing', 'module assignment', {
  module: { title: 'Module', width: [170, 1.4], names: true, text: moduleWords },
  role: {
    title: 'Role',
    width: 70,
    ...word('role', LANDING_ROLES, 'role'),
    examples: [...LANDING_ROLES],
    help: 'Whether this controller owns the module, or only listens.',
  },
  slot: {
    title: 'Slot',
    width: 48,
    mono: true,
    right: true,
    ...whole('slot', 0, 1000, 'a slot', { nothing: null }),
    examples: ['4'],
    help: 'The slot as it was entered in this controller.',
  },
  orderCode: {
    title: 'Order code',
    width: 96,
    mono: true,
    ...text('orderCode'),
    examples: ['DO-32'],
    help: 'The order code as it was entered in this controller.',
  },
  accepted: {
    title: 'Accepts',
    width: [90, 1],
    mono: true,
    ...text('accepted'),
    examples: ['5.2', '5.2–5.x', 'any'],
    help: 'Which revisions it takes: one, a range, several with commas, or any.',
  },
  inputs: size('inputs', 'In'),
  inputsAt: place('inputsAt', 'Input address', ['%IB0']),
  outputs: size('outputs', 'Out'),
  outputsAt: place('outputsAt', 'Output address', ['%QB0']),
  description: {
    title: 'Description',
    width: [80, 0.8],
    mono: true,
    ...note('description'),
    examples: ['2.31'],
    help: 'The version of the description file that it was entered with.',
  },
  point: {
    title: 'First point',
    width: [110, 1],
    mono: true,
    muted: true,
    path: null,
    text: (landing, project) => firstPoint(project, landing),
  },
});

/** How its programs write the first point of the module. */
function firstPoint(project: Project, landing: Landing): string {
  const module = project.get('module', landing.module);
  const what = module && module.inputs === 0 ? 'outputs' : 'inputs';
  return module && module[what] > 0 ? (pointText(project, { landing, what, channel: 0 }) ?? '') : '';
}

function moduleWords(landing: Landing, project: Project): string {
  const module = project.get('module', landing.module);
  const rack = module && project.get('rack', module.rack);
  if (!module || !rack) return 'a module that is gone';
  const station = rack.station === landing.station ? 'own rack' : (project.get('station', rack.station)?.name ?? '');
  const slot = module.slot === null ? '' : ` slot ${slotName(rack, module.slot)}`;
  return `${station}${slot}, ${module.name || module.kind}`;
}
