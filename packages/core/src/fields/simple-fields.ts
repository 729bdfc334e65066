import { set } from '../change/make.js';
import { inOrder } from '../model/order.js';
import type { Entity, EntityOf, Kind } from '../model/kinds.js';
import type { Project } from '../model/project.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';
import { shownWord } from '../text/shown-word.js';
import type { Entry, Field } from './field.js';

type Said<Row> = Required<Pick<Field<Row>, 'text' | 'edit'>> & Pick<Field<Row>, 'options'>;

/** Where a row keeps its fields. */
interface Kept {
  kind: Kind;
  entity: Entity;
  path: readonly string[];
  value: object;
}

export const YES_NO = ['yes', 'no'] as const;

/** Fields that hold a text, a word of a list, a number, yes or no, or the name of a station, and nothing beyond. */
function simple<Row>(kept: (row: Row) => Kept) {
  const valueOf = (row: Row, field: string): unknown => (kept(row).value as Record<string, unknown>)[field];
  const put = (row: Row, field: string, value: unknown): FieldEdit => {
    const { kind, entity, path } = kept(row);
    return changed(set(kind, entity, [...path, field], value));
  };
  const written = (field: string) => (row: Row) => {
    const value = valueOf(row, field);
    return value === null || value === undefined ? '' : String(value);
  };
  const chosenWord = (field: string) => (row: Row) => shownWord(written(field)(row));
  /** Emptied, it says nothing: `nothing` is stored. */
  const chosen = (field: string, words: readonly (string | number)[], what: string, nothing?: null): Said<Row> => ({
    text: chosenWord(field),
    options: words.map(shownWord),
    edit: (row, text) => {
      if (text === '') return put(row, field, nothing);
      const word = parseWord(text, words, what);
      return word.ok ? put(row, field, word.value) : refused(word);
    },
  });
  return {
    put,
    /** any text, the empty one as well */
    text: (field: string): Said<Row> => ({ text: written(field), edit: (row, text) => put(row, field, text) }),
    /** any text; emptied, nothing is stored */
    note: (field: string): Said<Row> => ({
      text: written(field),
      edit: (row, text) => put(row, field, text || undefined),
    }),
    /** one of these words, always */
    word: (field: string, words: readonly (string | number)[], what: string): Said<Row> => ({
      text: chosenWord(field),
      options: words.map(shownWord),
      edit: (row, text) => {
        const word = parseWord(text, words, what);
        return word.ok ? put(row, field, word.value) : refused(word);
      },
    }),
    chosen,
    /** several of these words with commas, or none */
    words: (field: string, words: readonly string[], what: string): Said<Row> => ({
      text: (row) => (valueOf(row, field) as readonly string[] | undefined)?.join(', ') ?? '',
      options: words,
      edit: (row, text) => {
        const found = readWords(text, words, what);
        return 'changes' in found ? found : put(row, field, found.words);
      },
    }),
    /** a whole number between two bounds; emptied, `nothing` is stored, where it may be emptied */
    whole: (field: string, least: number, most: number, what: string, { nothing, unit }: { nothing?: null | 'taken out'; unit?: RegExp } = {}): Said<Row> => ({
      text: written(field),
      edit: (row, text) => {
        if (text === '' && nothing !== undefined) return put(row, field, nothing === null ? null : undefined);
        const number = parseWhole(unit ? text.replace(unit, '') : text, least, most, what);
        return number.ok ? put(row, field, number.value) : refused(number);
      },
    }),
    /** yes or no, always */
    yes: (field: string): Said<Row> => ({
      text: (row) => (valueOf(row, field) ? 'yes' : 'no'),
      options: YES_NO,
      edit: (row, text) => {
        const word = parseWord(text, YES_NO, 'answer');
        return word.ok ? put(row, field, word.value === 'yes') : refused(word);
      },
    }),
    /** the name of a station; emptied, none */
    station: (field: string): Said<Row> => ({
      text: (row, project) => project.get('station', String(valueOf(row, field) ?? ''))?.name ?? '',
      options: (_, project) => inOrder(project, 'station').map(({ name }) => name),
      edit: (row, text, { project }) => {
        if (text === '') return put(row, field, null);
        const found = stationNamed(project, text);
        return found ? put(row, field, found.id) : noStation(project, text);
      },
    }),
  };
}

/** Words with commas, each once, in the order in which they are typed; or why one is none. */
export function readWords<W extends string>(text: string, words: readonly W[], what: string): { words: W[] } | FieldEdit {
  const found: W[] = [];
  for (const part of text.split(',').filter((p) => p.trim() !== '')) {
    const word = parseWord(part, words, what);
    if (!word.ok) return refused(word);
    if (!found.includes(word.value)) found.push(word.value);
  }
  return { words: found };
}

/** A station by its name, upper and lower case alike. */
export function stationNamed(project: Project, text: string): EntityOf['station'] | undefined {
  const all = inOrder(project, 'station');
  const wanted = text.trim().toLowerCase();
  return all.find((s) => s.name === text.trim()) ?? all.find((s) => s.name.toLowerCase() === wanted);
}

export function noStation(project: Project, text: string): FieldEdit {
  const names = inOrder(project, 'station').map((s) => s.name);
  const expected = `name one that is, as ${names.slice(0, 4).join(', ')}`;
  return refused({ found: `there is no station “${text.trim()}”`, expected });
}

/** Simple fields of entities of a kind. */
export const ofEntity = <K extends Kind>(kind: K) => simple<EntityOf[K]>((entity) => ({ kind, entity, path: [], value: entity }));

/** Simple fields of the entries of a list. */
export const ofEntry = <K extends Kind, E extends object>(kind: K, list: readonly string[]) =>
  simple<Entry<K, E>>(({ entity, key, entry }) => ({ kind, entity, path: [...list, key], value: entry }));
