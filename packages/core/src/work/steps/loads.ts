import type { Role } from '../../model/words.js';
import type { Station } from '../../model/station.js';
import type { FieldToSet } from '../../setting/fields-to-set.js';
import { afterLoadOf } from '../../time/after-load.js';
import { isWorkstation, stepOf, type WorkContext } from '../context.js';
import type { Misleading, Step } from '../step.js';

/** What a load does to a station of a role, where its type says nothing else. [common practice] */
const EFFECTS: readonly (readonly [Role, string])[] = [
  ['controller', 'it stops, and its outputs go off'],
  ['gateway', 'what goes through it stands meanwhile'],
  ['coupler', 'what goes through it stands meanwhile'],
  ['operator panel', 'its pictures are gone for a minute'],
  ['SCADA station', 'nobody sees the plant meanwhile'],
];

/** Roles that are loaded with a project of their own; what the others offer is set at them, or comes from whoever asks. */
const LOADED: readonly Role[] = [
  'controller',
  'gateway',
  'coupler',
  'operator panel',
  'SCADA station',
  'tag server',
  'simulator',
];

/** Loading what a station holds of its exchanges and of others' modules, and setting it to run again. */
export function loads(context: WorkContext): Step[] {
  return context.stations.flatMap((station) => {
    if (!LOADED.some((role) => station.roles.includes(role))) return restarts(context, station);
    const held = (context.fields.get(station.id) ?? []).filter(
      ({ cell }) => cell.kind === 'end' || cell.kind === 'landing',
    );
    if (held.length === 0) return restarts(context, station);
    const does = afterLoadOf(context.project, station.id);
    const ofRole = EFFECTS.find(([role]) => station.roles.includes(role))?.[1] ?? '';
    const effect = does === 'runs on' ? '' : ofRole;
    const starts = does === 'waits to be started';
    const load = loadStep(context, station, held, effect, starts);
    return [
      ...(descriptionNeeded(context, station) ? [descriptionStep(station)] : []),
      ...(effect.includes('outputs') ? [safeStep(station)] : []),
      load,
      ...(starts ? [startStep(station, load.basis)] : []),
      ...restarts(context, station),
    ];
  });
}

function loadStep(
  { partners, project }: WorkContext,
  station: Station,
  held: readonly FieldToSet[],
  effect: string,
  starts: boolean,
): Step {
  const changed = held.filter(({ state }) => state === 'changed since sent');
  const whole = held.some(({ state }) => state === 'not sent');
  const how =
    whole || changed.length === 0 ? 'whole' : `only what changed: ${changed.map(({ what }) => what).join(', ')}`;
  const until = starts ? `start ${station.id}` : `load ${station.id}`;
  const misleads = [...(partners.get(station.id) ?? [])].flatMap((id): Misleading[] => {
    const partner = project.get('station', id);
    return partner && !isWorkstation(partner)
      ? [{ what: `${partner.name} says that ${station.name} is missing`, until }]
      : [];
  });
  return stepOf(station, {
    key: `load ${station.id}`,
    kind: 'load',
    what: `Load ${station.name}, ${how}`,
    fields: held.map(({ field }) => field),
    needs: [
      {
        what: `the project of ${station.name}, as planned now`,
        stands: changed.length > 0 ? `changed since it was sent: ${changed.length}` : whole ? 'never sent' : 'sent',
      },
      ...(station.tool ? [{ what: `its tool, ${station.tool}`, stands: '' }] : []),
    ],
    effect,
    misleads: misleads.slice(0, 6),
    proof: 'its uptime is less than before, and its own page names this revision',
    basis: held.map(({ field, value }) => `${field}=${value}`).join('|'),
  });
}

const startStep = (station: Station, basis: string): Step =>
  stepOf(station, {
    key: `start ${station.id}`,
    kind: 'start',
    what: `Set ${station.name} to run: it does not start by itself`,
    effect: 'its outputs follow its program again',
    proof: 'it says that it runs, and a counter of its program moves',
    basis,
  });

/** What was sent and comes into force only then. */
function restarts({ fields }: WorkContext, station: Station): Step[] {
  const waits = (fields.get(station.id) ?? []).filter(({ state }) => state === 'in force after a restart');
  if (waits.length === 0) return [];
  return [
    stepOf(station, {
      key: `restart ${station.id}`,
      kind: 'restart',
      what: `Restart ${station.name}: ${waits.map(({ what }) => what).join(', ')} come into force then`,
      fields: waits.map(({ field }) => field),
      effect: 'what goes through it stands meanwhile',
      proof: 'it answers with an uptime under a minute',
      basis: waits.map(({ field, value }) => `${field}=${value}`).join('|'),
    }),
  ];
}

const safeStep = (station: Station): Step =>
  stepOf(station, {
    key: `outputs safe ${station.id}`,
    kind: 'outputs safe',
    what: `Make the outputs of ${station.name} safe: drives by hand, valves closed`,
    needs: [{ what: 'whoever runs the plant knows of it', stands: '' }],
    proof: 'somebody who saw it says so, with a name',
  });

/** Cyclic Ethernet I/O and token bus: whoever owns a module knows the device by its description file. */
const descriptionNeeded = ({ project, fields }: WorkContext, { id }: Station): boolean =>
  (fields.get(id) ?? []).some(
    ({ cell }) => cell.kind === 'landing' && project.get('landing', cell.id)?.role === 'owner',
  );

const descriptionStep = (station: Station): Step =>
  stepOf(station, {
    key: `description ${station.id}`,
    kind: 'description',
    what: `Bring the description files of its I/O into the tool of ${station.name}`,
    needs: [{ what: 'the files, in the version that the plan names', stands: '' }],
    proof: 'the tool offers the devices by their order codes',
  });
