import { LINE_PORT, pathOf } from '@dialoga/core/fields';
import type { Cell, Finding } from '@dialoga/core/finding';
import type { Project } from '@dialoga/core/model';
import { cellText, readCellText } from './cell-text';

/** What is set on a line, a bus or by radio is shown side by side on the wiring page. */
const LINE_FIELDS_OF_A_PORT = new Set(
  Object.values(LINE_PORT).flatMap(({ fields }) =>
    Object.entries(fields).flatMap(([id, f]) => pathOf(id, f)?.[0] ?? []),
  ),
);

/** What says how an exchange runs has a page of its own. */
const RUNNING = new Set([
  'cadence',
  'timeout',
  'responseDelay',
  'keepAlive',
  'inactivity',
  'watchedBy',
  'onLoss',
  'start',
]);
const ENDS_RUNNING = new Set(['references', 'elementBits', 'permitted']);

/** The address of a lane's row on its sheet. */
export const linkToLane = (projectId: string, exchange: string, lane: string): string =>
  `/p/${projectId}/exchanges/${exchange}?at=${encodeURIComponent(cellText({ kind: 'lane', id: lane, path: [] }))}`;

/** The address at which a cell is shown, with the cell named in it. */
export function linkToCell(project: Project, projectId: string, cell: Cell): string {
  const at = `at=${encodeURIComponent(cellText(cell))}`;
  const to = (path: string) => `/p/${projectId}/${path}?${at}`;
  switch (cell.kind) {
    case 'claim': {
      const lane = project.get('lane', project.get('claim', cell.id)?.lane ?? '');
      return to(`exchanges/${lane?.exchange ?? ''}`);
    }
    case 'lane':
      return to(`exchanges/${project.get('lane', cell.id)?.exchange ?? ''}`);
    case 'end': {
      const running = ENDS_RUNNING.has(cell.path[0] ?? '') ? '/running' : '';
      return to(`exchanges/${project.get('end', cell.id)?.exchange ?? ''}${running}`);
    }
    case 'exchange':
      return to(RUNNING.has(cell.path[0] ?? '') ? `exchanges/${cell.id}/running` : 'exchanges');
    case 'route':
      return to(cell.path[0] === 'port' ? 'routes' : `routes/${cell.id}`);
    case 'helper':
      return to(`routes/${project.get('helper', cell.id)?.route ?? ''}`);
    case 'expectation':
      return to('routes');
    case 'found':
      return to('site');
    case 'work':
      return to('site/work');
    case 'temporary':
      return to('site/temporary');
    case 'structure':
      return to('structures');
    case 'network':
      return to('wiring');
    case 'port':
      if (LINE_FIELDS_OF_A_PORT.has(cell.path[0] ?? '')) return to('wiring');
      return to(`stations/${project.get('port', cell.id)?.station ?? ''}`);
    case 'profile':
      return to('profiles');
    case 'rack':
      return to(`stations/${project.get('rack', cell.id)?.station ?? ''}`);
    case 'module': {
      const rack = project.get('rack', project.get('module', cell.id)?.rack ?? '');
      return to(`stations/${rack?.station ?? ''}`);
    }
    case 'tag':
    case 'series':
    case 'import':
      return to(`tags/${project.get(cell.kind, cell.id)?.station ?? ''}`);
    case 'setting':
    case 'copy':
    case 'landing':
    case 'area':
      return to(`stations/${project.get(cell.kind, cell.id)?.station ?? ''}`);
    default:
      return to('stations');
  }
}

export function linkToFinding(project: Project, projectId: string, finding: Finding): string {
  const [cell] = finding.cells;
  return cell ? linkToCell(project, projectId, cell) : `/p/${projectId}/findings`;
}

/** What a link's `at` names, or null. */
export const cellFromLink = (search: URLSearchParams): Cell | null => readCellText(search.get('at') ?? '');
