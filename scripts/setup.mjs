import { copyFileSync, existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { run, say } from './run.mjs';

const DEBIAN = [
  { name: 'mariadb-server', program: '/usr/sbin/mariadbd' },
  // Programs of others that the tests let talk to the stand-ins.
  { name: 'mbpoll', program: '/usr/bin/mbpoll' },
  { name: 'python3-pymodbus', program: '/usr/lib/python3/dist-packages/pymodbus' },
  { name: 'tshark', program: '/usr/bin/tshark' },
  { name: 'python3-serial-asyncio', program: '/usr/lib/python3/dist-packages/serial_asyncio' },
  // A third quicker than the whole browser, whose pictures are drawn as on a graphics card.
  { name: 'chromium-headless-shell', program: '/usr/bin/chromium-headless-shell' },
];

const LOCK_AT_INSTALL = join(ROOT, 'node_modules', '.lock-at-install.json');
const lockAtInstall = () => (existsSync(LOCK_AT_INSTALL) ? readFileSync(LOCK_AT_INSTALL, 'utf8') : null);

/** npm packages and Debian's packages, where they are missing. */
export async function installMissing({ browser = false, database = true, strangers = false } = {}) {
  const lock = join(ROOT, 'package-lock.json');
  const installed = join(ROOT, 'node_modules', '.package-lock.json');
  if (!existsSync(installed) || readFileSync(lock, 'utf8') !== lockAtInstall()) {
    say('Installing npm packages, about a minute …');
    await run('npm', ['ci', '--no-audit', '--no-fund'], { quiet: true });
    copyFileSync(lock, LOCK_AT_INSTALL);
  }
  const asked = { 'mariadb-server': database, 'chromium-headless-shell': browser };
  const wanted = DEBIAN.filter(({ name, program }) => (asked[name] ?? strangers) && !existsSync(program));
  if (wanted.length > 0) await installDebian(wanted.map((p) => p.name));
}

async function installDebian(names) {
  const command = `apt-get install -y --no-install-recommends ${names.join(' ')}`;
  if (process.getuid?.() !== 0) {
    throw new Error(`Missing: ${names.join(', ')}. Run once: sudo apt-get update && sudo ${command}`);
  }
  say(`Installing ${names.join(' and ')} from Debian, about a minute …`);
  // Debian would start a database service of its own; this forbids it for the install.
  const policy = '/usr/sbin/policy-rc.d';
  const ours = !existsSync(policy);
  if (ours) writeFileSync(policy, '#!/bin/sh\nexit 101\n', { mode: 0o755 });
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  try {
    await run('apt-get', ['update'], { quiet: true, env });
    await run('apt-get', ['install', '-y', '--no-install-recommends', ...names], { quiet: true, env });
  } finally {
    if (ours) rmSync(policy, { force: true });
  }
}

/** Builds what is older than its sources. */
export async function buildStale() {
  say('Building what changed …');
  await run('npx', ['tsc', '-b'], { quiet: true });
  const thread = ['apps/server/src', 'apps/server/rolldown.config.mjs', 'packages/core/src', 'package-lock.json'];
  if (isStale('apps/server/dist/thread/thread.js', thread)) {
    await run('npx', ['rolldown', '-c', 'rolldown.config.mjs'], { quiet: true, cwd: join(ROOT, 'apps/server') });
  }
  const page = [
    'apps/web/src',
    'apps/web/index.html',
    'apps/web/vite.config.ts',
    'apps/web/finding-words.ts',
    'apps/web/page-files.ts',
    'packages/core/src',
  ];
  if (isStale('apps/web/dist/index.html', page)) {
    say('Building the page …');
    await run('npm', ['run', 'build', '-w', 'apps/web'], { quiet: true });
  }
}

function isStale(built, sources) {
  const newest = Math.max(...sources.map((source) => newestIn(join(ROOT, source))));
  return !existsSync(join(ROOT, built)) || statSync(join(ROOT, built)).mtimeMs < newest;
}

function newestIn(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(0, ...readdirSync(path).map((name) => newestIn(join(path, name))));
}
