import { set } from '../change/make.js';
import type { Port } from '../model/port.js';
import { TRAFFICS } from '../model/words.js';
import { readWords } from './simple-fields.js';
import { parsePool } from '../route/tunnel.js';
import { changed, type FieldEdit } from '../text/field-edit.js';

/** `diagnostics, program transfer`: the only traffic that a port takes; emptied, it takes any. */
export function editTakes(port: Port, text: string): FieldEdit {
  if (text === '') return changed(set('port', port, ['takes'], undefined));
  const taken = readWords(text, TRAFFICS, 'kind of traffic');
  if ('changes' in taken) return taken;
  return changed(
    set(
      'port',
      port,
      ['takes'],
      TRAFFICS.filter((traffic) => taken.words.includes(traffic)),
    ),
  );
}

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
