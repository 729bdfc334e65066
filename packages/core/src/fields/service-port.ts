import { set } from '../change/make.js';
import type { Port } from '../model/port.js';
import { TRAFFICS } from '../model/words.js';
import { parsePool } from '../route/tunnel.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';

/** `looking on, program transfer`: the only traffic that a port takes; emptied, it takes any. */
export function editTakes(port: Port, text: string): FieldEdit {
  const words = text.split(',').map((word) => word.trim().toLowerCase());
  if (text === '') return changed(set('port', port, ['takes'], undefined));
  const strange = words.find((word) => !TRAFFICS.some((traffic) => traffic === word));
  if (strange !== undefined) return refused({ found: `“${strange}” is not a valid kind of traffic`, expected: `write some of ${ALL}` });
  return changed(
    set(
      'port',
      port,
      ['takes'],
      TRAFFICS.filter((traffic) => words.includes(traffic)),
    ),
  );
}

const ALL = TRAFFICS.join(', ');
/** What is written where there is a tunnel, and its pool is not known yet. */
export const POOL_UNKNOWN = 'pool not known';

/** The pool of the tunnel by which service traffic comes in; emptied, there is none. What cannot be read is kept, and said. */
export function editTunnel(port: Port, text: string): FieldEdit {
  if (text === '') return changed(set('port', port, ['tunnel'], undefined));
  if (text === POOL_UNKNOWN) return changed(set('port', port, ['tunnel'], ''));
  const pool = parsePool(text);
  const edit = changed(set('port', port, ['tunnel'], text));
  return pool.ok ? edit : { ...edit, problem: `${pool.found}; ${pool.expected}` };
}

export const tunnelText = ({ tunnel }: Port): string => (tunnel === '' ? POOL_UNKNOWN : (tunnel ?? ''));
