import type { Place } from '../../model/claim.js';
import { inEach, moved, type SlipKind } from './slip.testing.js';

/** Modules, and what a controller says of them, mistaken. */
export const HARDWARE_SLIPS: Record<string, SlipKind> = {
  'slot of another module': inEach('module', (module, project) => {
    const other = [...project.all('module')].find((m) => m.rack === module.rack && m.id !== module.id);
    return other ? ['slot', other.slot] : null;
  }),
  'slot outside the rack': inEach('module', (module, project) => [
    'slot',
    (project.get('rack', module.rack)?.size ?? 0) + 1,
  ]),
  'landing at another slot': inEach('landing', (landing, project) => {
    const other = [...project.all('landing')].find((l) => l.id !== landing.id && l.slot !== landing.slot);
    return other ? ['slot', other.slot] : null;
  }),
  'accepted revision': inEach('landing', ({ accepted }) => (accepted ? ['accepted', moved(accepted, 1)] : null)),
  'order code of a landing': inEach('landing', ({ orderCode }) => ['orderCode', orderCode.replace(/\d/, '9')]),
  'order code of a module': inEach('module', ({ orderCode, found }) =>
    found ? ['orderCode', orderCode.replace(/\d/, '9')] : null,
  ),
  'bytes of a landing': inEach('landing', ({ inputs }) => (inputs ? ['inputs', inputs + 2] : null)),
  'images over one another': inEach('landing', (landing, project) => {
    const other = [...project.all('landing')].find((l) => l.id !== landing.id && l.inputsAt);
    return landing.inputsAt && other ? ['inputsAt', other.inputsAt as Place] : null;
  }),
  'dial of another module': inEach('module', (module, project) => {
    const other = [...project.all('module')].find((m) => m.id !== module.id && m.dial && m.kind === module.kind);
    return module.dial && other ? ['dial', other.dial] : null;
  }),
  'dial not read in': inEach('module', ({ dialRead }) => (dialRead ? ['dialRead', false] : null)),
};
