import { fork, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { join } from 'node:path';

export interface Server {
  /** of the interface */
  url: string;
  /** of the pages */
  page: string;
  child: ChildProcess;
}

/** The built server in a process of its own; the database is whose address the environment has. */
export async function startServer(): Promise<Server> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as { port: number };
  probe.close();
  const env = { ...process.env, PORT: String(port), LOG_LEVEL: 'silent' };
  const child = fork(join(import.meta.dirname, '../../apps/server/dist/main.js'), { env });
  await once(child, 'message');
  const page = `http://127.0.0.1:${port}`;
  return { url: `${page}/api`, page, child };
}

export async function stop({ child }: Server): Promise<void> {
  child.kill('SIGTERM');
  await once(child, 'exit');
}

export const json = async <T>(response: Promise<Response>): Promise<T> => (await (await response).json()) as T;

/** Brings a project file in, and follows the job to its end. */
export async function importProject(server: Server, file: string): Promise<{ id: string; seconds: number }> {
  const start = performance.now();
  const { job } = await json<{ job: string }>(
    fetch(`${server.url}/imports`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream' },
      body: file,
    }),
  );
  for (;;) {
    const view = await json<{ state: string; project: string; message: string }>(fetch(`${server.url}/jobs/${job}`));
    if (view.state === 'done') return { id: view.project, seconds: (performance.now() - start) / 1000 };
    if (view.state !== 'running') throw new Error(view.message);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}
