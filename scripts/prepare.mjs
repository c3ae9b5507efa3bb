import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';

/** What a build is made from; a change in any of it asks for a new one. */
const BUILT_FROM = [
  'src',
  'species',
  'demo',
  'package-lock.json',
  'next.config.ts',
  'tsconfig.json',
  'tsconfig.build.json',
];
const BUILD_STAMP = '.next/fractum-build';
const INSTALL_STAMP = 'node_modules/.fractum-installed';

/** Runs a command with its output shown; ends this process when it fails. */
export function run(command, args, env = {}) {
  const result = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  if (result.status !== 0) {
    process.stderr.write(`\n${command} ${args.join(' ')} failed.\n`);
    process.exit(result.status ?? 1);
  }
}

function filesOf(path) {
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && !entry.name.includes('.test.'))
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name))
    .sort();
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const file of paths.flatMap(filesOf)) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

function stampSays(stamp, hash) {
  return existsSync(stamp) && readFileSync(stamp, 'utf8') === hash;
}

/** Installs the packages when they are missing or the lock file has changed. */
export function ensureInstalled() {
  const hash = hashOf(['package-lock.json']);
  if (stampSays(INSTALL_STAMP, hash)) return;
  process.stdout.write('Installing packages (the database driver compiles; a few minutes the first time)\n');
  run('npm', ['ci', '--no-audit', '--no-fund']);
  writeFileSync(INSTALL_STAMP, hash);
}

/** Builds the app when its sources have changed since the last build. */
export function ensureBuilt() {
  const hash = hashOf(BUILT_FROM);
  if (stampSays(BUILD_STAMP, hash)) return;
  process.stdout.write('Building the app\n');
  run('npx', ['next', 'build'], { NEXT_TELEMETRY_DISABLED: '1' });
  mkdirSync('.next', { recursive: true });
  writeFileSync(BUILD_STAMP, hash);
}

function found(command) {
  return spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;
}

/** Chromium and ChromeDriver for the browser tests: as they are, or from Debian's packages where we may install. */
export function ensureBrowser() {
  const missing = () => ['chromium', 'chromedriver'].filter((command) => !found(command));
  if (missing().length === 0) return;
  const mayInstall = found('apt-get') && process.getuid?.() === 0;
  if (mayInstall) {
    process.stdout.write('Installing Chromium and ChromeDriver from Debian packages\n');
    spawnSync('apt-get', ['update'], { stdio: 'inherit' });
    spawnSync('apt-get', ['install', '-y', '--no-install-recommends', 'chromium', 'chromium-driver'], {
      stdio: 'inherit',
    });
  }
  if (missing().length === 0) return;
  process.stderr.write(
    `The browser tests need ${missing().join(' and ')}. Install Debian's packages chromium and chromium-driver:\n` +
      '  sudo apt-get install chromium chromium-driver\n',
  );
  process.exit(1);
}

/** Whether nothing listens on a port of this machine yet. */
export function isFree(port) {
  return new Promise((done) => {
    const server = createServer();
    server.once('error', () => done(false));
    server.listen(port, () => server.close(() => done(true)));
  });
}

/** Starts a program of the demo; what it prints is shown. */
export function start(command, args, env) {
  return spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } });
}

/** Waits until an address answers; gives up after a minute. */
export async function answering(address) {
  const until = Date.now() + 60_000;
  while (Date.now() < until) {
    const ok = await fetch(address).then(
      (response) => response.ok,
      () => false,
    );
    if (ok) return true;
    await new Promise((done) => setTimeout(done, 150));
  }
  return false;
}
