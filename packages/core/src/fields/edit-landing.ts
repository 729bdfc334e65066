import { memoriesOf } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import { set } from '../change/make.js';
import { readable } from '../model/as-typed.js';
import type { Landing } from '../model/landing.js';
import type { Project } from '../model/project.js';
import { LANDING_ROLES } from '../model/words.js';
import { placeText } from '../place/place-text.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

export type LandingColumn =
  'role' | 'slot' | 'orderCode' | 'accepted' | 'inputs' | 'outputs' | 'inputsAt' | 'outputsAt' | 'description';

/** Typed text into one field of what a controller says of a module. An address that cannot be read stays as typed. */
export function editLanding(project: Project, landing: Landing, column: LandingColumn, text: string): FieldEdit {
  const clean = text.trim();
  const put = (value: unknown) => changed(set('landing', landing, [column], value));
  switch (column) {
    case 'role': {
      const role = parseWord(clean, LANDING_ROLES, 'role');
      return role.ok ? put(role.value) : refused(role);
    }
    case 'slot': {
      if (clean === '') return put(null);
      const slot = parseWhole(clean, 0, 1000, 'a slot');
      return slot.ok ? put(slot.value) : refused(slot);
    }
    case 'inputs':
    case 'outputs': {
      if (clean === '') return put(null);
      const number = parseWhole(clean, 0, 100_000, 'a size in bytes');
      return number.ok ? put(number.value) : refused(number);
    }
    case 'inputsAt':
    case 'outputsAt': {
      if (clean === '') return put(null);
      const known = readable(landing[column]);
      if (known && placeText(project, known) === clean) return changed();
      const memories = memoriesOf(project, landing.station);
      const meant = memories.filter((m) => m.area.id === known?.area);
      const place = parseAddress(clean, [...meant, ...memories]);
      return put(place.ok ? place.value : { typed: clean });
    }
    case 'description':
      return put(clean || undefined);
    default:
      return put(clean);
  }
}
