import { set } from '../change/make.js';
import type { Module } from '../model/module.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { MODULE_KINDS } from '../model/words.js';
import { formatBits } from '../place/length.js';
import { landedOf } from '../rack/landed.js';
import { placeFault, slotName } from '../rack/slots.js';
import { changed, parseWhole, refused, type FieldEdit } from '../text/field-edit.js';
import { formatRadioPlace, radioPlaceOf } from '../wiring/radio-block.js';
import { entityRows, type Field } from './field.js';
import { ofEntity } from './simple-fields.js';

const { text, note, word, put } = ofEntity('module');

const size = (field: 'inputs' | 'outputs', title: string, help: string): Field<Module> => ({
  title,
  width: 88,
  mono: true,
  right: true,
  help,
  examples: ['4'],
  text: (module) => (module[field] === 0 ? '' : String(module[field])),
  shown: (module) => (module[field] === 0 ? '' : formatBits(module[field] * 8, 8)),
  edit: (module, typed) => {
    const bytes = parseWhole(typed === '' ? '0' : typed, 0, 100_000, 'a size in bytes');
    return bytes.ok ? put(module, field, bytes.value) : refused(bytes);
  },
});

/** What is plugged into the slots of a rack. */
export const MODULE = entityRows('module', 'module', {
  slot: {
    title: 'Slot',
    width: 64,
    mono: true,
    right: true,
    text: ({ rack, slot }, project) => {
      const of = project.get('rack', rack);
      return of && slot !== null ? slotName(of, slot) : '';
    },
    shown: ({ slot }) => (slot === null ? 'none yet' : undefined),
    edit: editSlot,
    examples: [],
    help: 'The slot that it is plugged into, as its rack counts.',
  },
  name: {
    title: 'Module',
    width: [120, 1],
    names: true,
    counts: true,
    ...text('name'),
    examples: ['Valve outputs'],
    help: 'What the module is called.',
  },
  kind: {
    title: 'Kind',
    width: 150,
    ...word('kind', MODULE_KINDS, 'kind of module'),
    examples: [MODULE_KINDS[0]],
    help: 'What sort of module it is.',
  },
  orderCode: {
    title: 'Order code',
    width: 96,
    mono: true,
    ...text('orderCode'),
    examples: ['DO-32'],
    help: 'The order code that was planned.',
  },
  found: {
    title: 'Found',
    width: 84,
    mono: true,
    text: foundText,
    edit: (module, typed) => {
      // `5.2`, or another order code before it: `DO-32 5.2`.
      const [, orderCode, revision = ''] = /^(?:(.+)\s+)?(\S*)$/.exec(typed) ?? [];
      if (typed === '') return put(module, 'found', null);
      const known = module.found?.orderCode || module.orderCode;
      return put(module, 'found', { ...module.found, orderCode: orderCode?.trim() || known, revision });
    },
    examples: ['5.2', 'DO-32 5.2'],
    help: 'The revision that was found in the rack; before it the order code where that is another one.',
  },
  inputs: size('inputs', 'In', 'Bytes that it puts into the input image.'),
  outputs: size('outputs', 'Out', 'Bytes that it takes out of the output image.'),
  dial: {
    title: 'Rotary switch',
    width: 84,
    mono: true,
    right: true,
    ...note('dial'),
    edit: (module, typed) => {
      const dial = put(module, 'dial', typed || undefined);
      if (typed === '' || typed === (module.dial ?? '')) return dial;
      // Turned is not read in yet.
      return changed(...dial.changes, set('module', module, ['dialRead'], false));
    },
    examples: ['3'],
    help: 'What its rotary switch, or its other switches, are to be set to.',
  },
  landings: {
    title: 'Assigned to',
    width: [220, 2],
    path: null,
    text: (module, project) => landingWords(project, module),
  },
});

/** A slot that its rack or zone does not offer is refused with the reason. */
function editSlot(module: Module, text: string, { project }: { project: Project }): FieldEdit {
  if (text === '') return put(module, 'slot', null);
  const slot = parseWhole(text, 0, 1000, 'a slot');
  const rack = project.get('rack', module.rack);
  if (!slot.ok || !rack) return slot.ok ? changed() : refused(slot);
  const fault = placeFault(rack, module, slot.value);
  if (fault === null) return put(module, 'slot', slot.value);
  return refused({ found: `${module.name || module.kind} cannot go into slot ${text}`, expected: fault });
}

/** `5.2`; with another order code than the planned one before it, `DO-32 5.2`. */
function foundText({ found, orderCode }: Module): string {
  if (!found) return '';
  return found.orderCode === orderCode || found.orderCode === '' ? found.revision : `${found.orderCode} ${found.revision}`;
}

/** `PlantCtl owner, %QB6–%QB7 · SkidCtl owner`; of a module on a radio unit its registers in the base. */
function landingWords(project: Project, module: Module): string {
  const place = radioPlaceOf(project, module);
  if (place) return `${formatRadioPlace(place)} of ${project.get('station', place.base)?.name ?? 'the base'}`;
  return childrenOf(project, 'landing', module.id)
    .map((landing) => {
      const station = project.get('station', landing.station)?.name ?? '';
      const ranges = landedOf(project, landing).map((l) => l.range);
      return [`${station} ${landing.role}`, ...ranges].join(', ');
    })
    .join(' · ');
}
