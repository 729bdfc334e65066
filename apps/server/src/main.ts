import 'reflect-metadata';
import { configFrom, ConfigError } from './base/config.js';
import { tellHowBusy } from './base/busy.js';
import { createApp } from './create-app.js';
import { described, openLog } from './base/log.js';
import { ProjectsService } from './projects/projects.service.js';
import { WorkService } from './work/work.service.js';

/** What this ends with where it was told something that cannot be meant: starting it again would not help. */
const WRONG_CONFIG = 2;
/** ms after which it ends though something still holds on. */
const LONGEST_END_MS = 10_000;

try {
  const config = configFrom(process.env);
  const { log, close } = openLog(config.logLevel, config.logFolder);
  const app = await createApp(config, log);
  let ending = false;
  const end = async (code: number) => {
    if (ending) return;
    ending = true;
    setTimeout(() => process.exit(code), LONGEST_END_MS).unref();
    await app.close().catch(() => undefined);
    await close();
    process.exit(code);
  };
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => void end(0));
  // Whoever started this process and is gone cannot end it any more.
  process.on('disconnect', () => void end(0));
  if (process.send && !process.connected) await end(0);
  process.on('uncaughtException', (error) => {
    log.fatal(described(error), 'a fault of ours');
    void end(1);
  });
  await app.get(ProjectsService).loadDemoIfEmpty();
  await app.listen(config.port, config.host);
  process.send?.({ listening: config.port });
  app.get(WorkService).warm();
  tellHowBusy();
} catch (error) {
  process.stderr.write(`${sentenceOf(error)}\n`);
  process.exit(error instanceof ConfigError || isPort(error) ? WRONG_CONFIG : 1);
}

/** Why it did not start, without what it was told: that may hold a password. */
function sentenceOf(error: unknown): string {
  if (error instanceof ConfigError) return error.message;
  const { code = '' } = error as { code?: string };
  const { HOST: host = '127.0.0.1', PORT: port = '4310' } = process.env;
  if (code === 'EADDRINUSE')
    return `Port ${port} of ${host} is taken by another program; set PORT to one that is free.`;
  if (code === 'EACCES') return `Port ${port} may not be used by this user; set PORT to one from 1024 on.`;
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND') return `HOST ${host} is no address of this machine.`;
  if (code === 'ECONNREFUSED' || code === 'ETIMEDOUT') return 'The database that DATABASE_URL names does not answer.';
  if (code.startsWith('ER_ACCESS_DENIED')) return 'The database does not accept the user and password of DATABASE_URL.';
  if (code === 'ER_BAD_DB_ERROR') return 'The database that DATABASE_URL names is not there; create it first.';
  const { type, at } = described(error);
  return `The server could not start: ${type}${code ? ` ${code}` : ''}\n${at.replaceAll('; ', '\n')}`;
}

function isPort(error: unknown): boolean {
  const { code = '' } = error as { code?: string };
  return ['EADDRINUSE', 'EACCES', 'EADDRNOTAVAIL'].includes(code);
}
