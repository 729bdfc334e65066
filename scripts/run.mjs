import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { ROOT } from './paths.mjs';

/** Says what is being done; each waiting step says what it waits for. */
export const say = (text) => console.log(text);

/** Runs a command to its end; rejects with its name where it fails. Output is shown, or with `quiet` only on failure. */
export function run(command, args, { quiet = false, cwd = ROOT, env = process.env, input } = {}) {
  return new Promise((resolve, reject) => {
    const stdio = [input === undefined ? 'ignore' : 'pipe', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit'];
    const child = spawn(command, args, { cwd, env, stdio });
    let output = '';
    child.stdout?.on('data', (data) => (output += data));
    child.stderr?.on('data', (data) => (output += data));
    if (input !== undefined) child.stdin.end(input);
    child.on('error', reject);
    child.on('close', (code) => {
      if (code === 0) return resolve(output);
      reject(new Error(`${command} ${args[0] ?? ''} ended with ${code}${output ? `\n${output.trim()}` : ''}`));
    });
  });
}

/** Ends a child and waits until it has; after the grace time it is killed. */
export function end(child, signal = 'SIGTERM', graceMs = 15_000) {
  return new Promise((resolve) => {
    if (!child || child.exitCode !== null || child.signalCode !== null) return resolve();
    const timer = setTimeout(() => child.kill('SIGKILL'), graceMs);
    child.once('exit', () => {
      clearTimeout(timer);
      resolve();
    });
    child.kill(signal);
  });
}

/** A TCP port on loopback that is free now; the wanted one where it is. */
export function freePort(wanted = 0) {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', () => (wanted === 0 ? reject(new Error('no port is free')) : resolve(freePort(0))));
    server.listen(wanted, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}
