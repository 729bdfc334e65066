import { api, type ProjectSummary } from './client';

const DEMO = 'Kestrel Quay cold store';

/** The demo as it was, where a copy stands that nobody has edited; else a fresh copy. */
export async function openDemo(): Promise<ProjectSummary> {
  const projects = await api.list();
  return projects.find((p) => p.name === DEMO && p.revision === 0) ?? api.demo('kestrel-quay');
}
