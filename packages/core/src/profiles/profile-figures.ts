import { shownWord } from '../text/shown-word.js';
import { put, set } from '../change/make.js';
import { entriesInOrder } from '../model/order.js';
import type { Profile } from '../model/profile.js';
import {
  AFTER_LOAD,
  ALIGNMENTS,
  BOOL_PACKINGS,
  BYTE_ORDERS,
  FORWARDS,
  NAME_FORMS,
  REGISTER_ORDERS,
} from '../model/words.js';
import { PROTOCOLS } from '../protocol/catalogue.js';
import { readRouteForm } from '../route/route-form.js';
import { routeSample } from '../route/route-text.js';
import { BLOCK_FORM, blockText, readBlock } from './block-text.js';
import { connectionWords, countedBy } from '../wiring/connection-limits.js';
import { readForward, readRadioBlock, readSizes, readSpeech } from './add-figure.js';
import { partTwice } from '../text/template.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

/** One thing that a profile says, with where it comes from. */
export interface ProfileFigure {
  /** dotted path in the profile of what is said */
  id: string;
  what: string;
  value: string;
  /** null: this thing needs no source */
  source: string | null;
  options?: readonly string[];
}

const LIMIT_WORDS: Record<string, string> = {
  bytes: 'bytes exchanged at most',
  nodes: 'devices on a network at most',
  tags: 'tags at most',
};
const OUR_WORDS = ['writes', 'reads', 'calls', 'listens'] as const;

/** Everything that a profile says, in a fixed order. Views are written in the station's own areas. */
export function profileFigures(profile: Profile): ProfileFigure[] {
  const { layout, nameRule } = profile;
  const figures: ProfileFigure[] = [
    {
      id: 'layout.byteOrder',
      what: 'bytes in a word',
      value: layout.byteOrder ?? '',
      source: null,
      options: BYTE_ORDERS,
    },
    {
      id: 'layout.registerOrder',
      what: '32-bit values',
      value: layout.registerOrder ?? '',
      source: null,
      options: REGISTER_ORDERS,
    },
    {
      id: 'layout.boolPacking',
      what: 'a BOOL takes a',
      value: layout.boolPacking ?? '',
      source: null,
      options: BOOL_PACKINGS,
    },
    {
      id: 'layout.alignment',
      what: 'alignment in bytes',
      value: layout.alignment ?? '',
      source: null,
      options: ALIGNMENTS,
    },
    { id: 'nameRule.longest', what: 'longest name', value: text(nameRule.longest), source: nameRule.source },
    {
      id: 'nameRule.form',
      what: 'form of names',
      value: nameRule.form ?? 'any',
      source: nameRule.source,
      options: NAME_FORMS,
    },
    {
      id: 'nameRule.caseMatters',
      what: 'upper and lower case are told apart',
      value: nameRule.caseMatters ? 'yes' : 'no',
      source: nameRule.source,
      options: ['yes', 'no'],
    },
  ];
  for (const [key, { value, source }] of Object.entries(profile.limits).sort(([a], [b]) => (a < b ? -1 : 1))) {
    const counted = countedBy(key);
    const what = counted ? `${connectionWords(counted)} at most` : (LIMIT_WORDS[key] ?? `${key} at most`);
    figures.push({ id: `limits.${key}`, what, value: String(value), source });
  }
  for (const [key, preset] of Object.entries(profile.presets ?? {})) {
    const what = `${preset.field} from the factory, not yet set`;
    figures.push({ id: `presets.${key}`, what, value: preset.value, source: preset.source });
  }
  for (const [key, block] of Object.entries(profile.radioBlocks ?? {})) {
    const value = `${block.table} from ${block.first}, ${block.stride} per position`;
    figures.push({
      id: `radioBlocks.${key}`,
      what: `${block.kind} by its rotary switch`,
      value: `${block.kind}: ${value}`,
      source: block.source,
    });
  }
  if (profile.unitIsLastOctet) {
    const { source } = profile.unitIsLastOctet;
    figures.push({ id: 'unitIsLastOctet', what: 'unit is the last part of the address', value: 'yes', source });
  }
  if (profile.checksUnit) {
    const { source } = profile.checksUnit;
    figures.push({ id: 'checksUnit', what: 'answers to its own unit only, over Ethernet too', value: 'yes', source });
  }
  if (profile.afterLoad) {
    const { does, source } = profile.afterLoad;
    figures.push({ id: 'afterLoad', what: 'after a load', value: does, source });
  }
  for (const [key, speech] of Object.entries(profile.speaks ?? {})) {
    const least = speech.firmware ? `; from ${speech.firmware}` : '';
    const value = `${speech.roles.join(', ')}; ${speech.media.join(', ')}${least}`;
    const name = PROTOCOLS.find((p) => p.id === key)?.name ?? key;
    figures.push({ id: `speaks.${key}`, what: `speaks ${name}`, value, source: speech.source });
  }
  for (const [key, block] of entriesInOrder(profile.blocks ?? {})) {
    const value = blockText(block);
    figures.push({ id: `blocks.${key}`, what: `takes for ${block.name}`, value, source: block.source });
  }
  for (const [key, { bytes, source }] of Object.entries(profile.sizes ?? {})) {
    const name = PROTOCOLS.find((p) => p.id === key)?.name ?? key;
    figures.push({ id: `sizes.${key}`, what: `sizes by ${name}, bytes`, value: bytes.join(', '), source });
  }
  if (profile.pointText) {
    const { text: value, source } = profile.pointText;
    figures.push({ id: 'pointText', what: 'a point of a module is written', value, source });
  }
  for (const [id, what] of [
    ['itemText', 'a tag of another station is asked for by'],
    ['stationText', 'a row names its station by'],
  ] as const) {
    const text = profile[id];
    if (text) figures.push({ id, what, value: text.text, source: text.source });
  }
  if (profile.routeText) {
    const { source, ...form } = profile.routeText;
    figures.push({ id: 'routeText', what: 'a route is written', value: routeSample(form), source });
  }
  for (const [key, { what, firmware, source }] of Object.entries(profile.forwards ?? {})) {
    const value = firmware ? `${shownWord(what)}; from ${firmware}` : shownWord(what);
    figures.push({ id: `forwards.${key}`, what: 'passes on', value, source, options: FORWARDS.map(shownWord) });
  }
  for (const word of OUR_WORDS) {
    figures.push({
      id: `words.${word}`,
      what: `its word for ‘${word}’`,
      value: profile.words[word]?.word ?? '',
      source: null,
    });
  }
  for (const [, view] of entriesInOrder(profile.views)) {
    figures.push({ id: '', what: `addresses of ${view.areaKind ?? 'an area'}`, value: view.name, source: null });
  }
  return figures;
}

const text = (value: number | undefined): string => (value === undefined ? '' : String(value));

/** Typed text into the value or the source of one thing that a profile says. Emptied, a limit or a word is said no more. */
export function editProfile(profile: Profile, id: string, column: 'value' | 'source', typed: string): FieldEdit {
  const clean = typed.trim();
  const path = id.split('.');
  const [head = '', key = ''] = path;
  const to = (at: readonly string[], value: unknown) => changed(set('profile', profile, at, value));
  if (column === 'source') {
    if (head === 'nameRule') return to(['nameRule', 'source'], clean);
    if (
      ['unitIsLastOctet', 'checksUnit', 'afterLoad', 'pointText', 'itemText', 'stationText', 'routeText'].includes(head)
    )
      return to([head, 'source'], clean);
    return ['limits', 'presets', 'speaks', 'radioBlocks', 'forwards', 'blocks', 'sizes'].includes(head)
      ? to([head, key, 'source'], clean)
      : nothing;
  }
  switch (head) {
    case 'layout': {
      if (clean === '') return to(path, undefined);
      const figure = profileFigures(profile).find((f) => f.id === id);
      const word = parseWord(clean, figure?.options ?? [], 'rule here');
      return word.ok ? to(path, word.value) : refused(word);
    }
    case 'nameRule': {
      if (key === 'caseMatters') {
        const yes = parseWord(clean, ['yes', 'no'], 'answer');
        return yes.ok ? to(path, yes.value === 'yes') : refused(yes);
      }
      if (key === 'form') {
        const form = parseWord(clean, NAME_FORMS, 'form of names');
        return form.ok ? to(path, form.value) : refused(form);
      }
      if (clean === '') return to(path, undefined);
      const longest = parseWhole(clean, 1, 500, 'the longest name');
      return longest.ok ? to(path, longest.value) : refused(longest);
    }
    case 'limits': {
      if (clean === '') return to(path, undefined);
      const limit = parseWhole(clean, 0, 1_000_000_000, 'a limit');
      return limit.ok ? to([...path, 'value'], limit.value) : refused(limit);
    }
    case 'radioBlocks': {
      if (clean === '') return to(path, undefined);
      const block = readRadioBlock(clean);
      const expected = 'write it as in digital input: discrete inputs from 1, 16 per position';
      if (!block) return refused({ found: `“${clean}” does not describe a block of registers`, expected });
      return to(path, { ...block, source: profile.radioBlocks?.[key]?.source ?? '' });
    }
    case 'speaks': {
      if (clean === '') return to(path, undefined);
      const speech = readSpeech(clean);
      const expected = 'write roles; media, and from which firmware on, as in calls, listens; ethernet; from 4.2';
      if (!speech) return refused({ found: `“${clean}” is not understood`, expected });
      return to(path, { ...speech, source: profile.speaks?.[key]?.source ?? '' });
    }
    case 'forwards': {
      if (clean === '') return to(path, undefined);
      const known = profile.forwards?.[key];
      const forward = readForward(clean);
      return forward.ok ? to(path, { ...forward.value, source: known?.source ?? '' }) : refused(forward);
    }
    case 'routeText': {
      if (clean === '') return to([head], null);
      const form = readRouteForm(clean);
      const expected = `write the way over Plant LAN to 10.0.0.1 and through the rack to slot 0, as ${SAMPLES}`;
      if (!form) return refused({ found: `“${clean}” is not the sample route`, expected });
      return to([head], { ...form, source: profile.routeText?.source ?? '' });
    }
    case 'pointText':
    case 'itemText':
    case 'stationText': {
      if (clean === '') return to([head], null);
      const twice = partTwice(clean);
      if (twice)
        return refused({ found: `${twice} stands twice in “${clean}”`, expected: 'each part stands in it once' });
      return to([head, 'text'], clean);
    }
    case 'sizes': {
      if (clean === '') return to(path, undefined);
      const bytes = readSizes(clean);
      const expected = 'write sizes in bytes, as in 4, 16, 32';
      return bytes ? to([...path, 'bytes'], bytes) : refused({ found: `“${clean}” are no sizes`, expected });
    }
    case 'blocks': {
      if (clean === '') return to(path, undefined);
      const [block, known] = [readBlock(clean), profile.blocks?.[key]];
      const expected = `write it as in ${BLOCK_FORM}`;
      if (!block || !known) return refused({ found: `“${clean}” does not describe a block of a memory`, expected });
      const last = Math.max(0, ...Object.values(known.members).map((m) => m.offset + m.bits));
      if (last <= block.length) return to(path, { ...known, ...block });
      return refused({ found: `“${clean}” is shorter than its parts`, expected: `they reach to byte ${last / 8}` });
    }
    case 'unitIsLastOctet':
    case 'checksUnit':
      return clean === '' || clean.toLowerCase() === 'no' ? to(path, undefined) : nothing;
    case 'afterLoad': {
      if (clean === '') return to(path, undefined);
      const does = AFTER_LOAD.find((one) => one === clean.toLowerCase());
      const expected = `write ${AFTER_LOAD.join(', or ')}`;
      return does
        ? to(['afterLoad', 'does'], does)
        : refused({ found: `“${clean}” is not what a load does`, expected });
    }
    case 'presets':
      return clean === '' ? to(path, undefined) : to([...path, 'value'], clean);
    case 'words':
      if (clean === '') return to(path, undefined);
      return profile.words[key] ? to([...path, 'word'], clean) : to(path, { word: clean });
    default:
      return nothing;
  }
}

/** Two of the ways in which stations write the sample route. */
const SAMPLES = 'Plant LAN > 10.0.0.1 / rack > 0, or as 2,10.0.0.1,1,0';

const nothing: FieldEdit = { changes: [], problem: null };

/** A profile with nothing said yet. */
export function newProfile(id: string, order: number, name: string): FieldEdit {
  const nameRule = { caseMatters: false, source: '' };
  return changed(put('profile', { id, order, name, layout: {}, views: {}, limits: {}, nameRule, words: {} }));
}
