import { set } from '../change/make.js';
import type { Rack } from '../model/rack.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

export type RackColumn = 'name' | 'size' | 'first' | 'found' | 'gaps' | 'addressesFollow' | 'takes';

/** Typed text into one field of a rack. The order codes that its base takes are separated by commas. */
export function editRack(rack: Rack, column: RackColumn, text: string): FieldEdit {
  const clean = text.trim();
  const put = (value: unknown) => changed(set('rack', rack, [column], value));
  switch (column) {
    case 'size':
    case 'first':
    case 'found': {
      if (column === 'found' && clean === '') return put(null);
      const number = parseWhole(clean, column === 'first' ? 0 : 1, 1000, 'a number of slots');
      return number.ok ? put(number.value) : refused(number);
    }
    case 'gaps':
    case 'addressesFollow': {
      const yes = parseWord(clean, ['yes', 'no'], 'answer');
      return yes.ok ? put(yes.value === 'yes') : refused(yes);
    }
    case 'takes':
      return put(
        clean
          .split(',')
          .map((code) => code.trim())
          .filter((code) => code !== ''),
      );
    default:
      return put(clean);
  }
}
