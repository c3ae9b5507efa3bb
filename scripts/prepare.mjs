import { spawn, spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  statSync,
  writeFileSync,
} from 'node:fs';
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
  const worker = [
    'src/ui/offline/floorWorker.ts',
    '--bundle',
    '--minify',
    '--outfile=public/floor-worker.js',
  ];
  run('npx', ['esbuild', ...worker, '--define:process.env.NODE_ENV="production"', '--log-level=warning']);
  copyFileSync('node_modules/zxing-wasm/dist/reader/zxing_reader.wasm', 'public/zxing_reader.wasm');
  run('npx', ['next', 'build'], { NEXT_TELEMETRY_DISABLED: '1' });
  mkdirSync('.next', { recursive: true });
  writeFileSync(BUILD_STAMP, hash);
}

/** The demo's finished year in a unit, made once for each build. @returns its file */
export function ensureSeason(unit) {
  const file = `.next/season-${unit}.db`;
  if (existsSync(file)) return file;
  // Two that start at once each make one, and the last stands: none is ever half made.
  const making = `${file}.${process.pid}`;
  run('npx', ['tsx', 'scripts/season.ts', making], { FRACTUM_UNIT: unit });
  renameSync(making, file);
  return file;
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

/** Starts a program; what it prints is shown. */
function start(command, args, env) {
  return spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } });
}

/** Waits until an address answers; gives up after a minute. */
async function answering(address) {
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

/** The key that this shop and its scale share; made once, readable for nobody else. */
export function scaleKeyOf(data) {
  const file = join(data, 'scale.key');
  mkdirSync(data, { recursive: true, mode: 0o700 });
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 });
  return readFileSync(file, 'utf8');
}

/** The shop's devices, one after the other from the second port of the stand-ins. */
const DEVICES = [
  'FRACTUM_BENCH_SCALE',
  'FRACTUM_RAIL_SCALE',
  'FRACTUM_PRINTER',
  'FRACTUM_PROBE',
  'FRACTUM_SPICE_SCALE',
  'FRACTUM_SMOKE_LOGGER',
];

/** Whether the shop has named devices of its own. */
export function hasOwnDevices() {
  return DEVICES.some((name) => process.env[name]);
}

/** Ports that the stand-ins need beside an app: their panels, and each of them. */
export function standInPorts(port) {
  return [0, ...DEVICES.map((_, at) => at + 1)].map((at) => port + 10 + at);
}

/** Where the stand-ins listen, for themselves and for the app. */
export function standInEnv(port) {
  const [panels, ...wires] = standInPorts(port);
  return {
    FRACTUM_STAND_INS: String(panels),
    ...Object.fromEntries(DEVICES.map((name, at) => [name, `tcp://127.0.0.1:${wires[at]}`])),
  };
}

/** Ends with a word when a port that is needed is taken. */
export async function ensureFree(ports, command) {
  for (const needed of ports) {
    if (await isFree(needed)) continue;
    process.stderr.write(
      `Port ${needed} is taken. Stop what runs there, or choose another: PORT=8080 npm ${command}\n`,
    );
    process.exit(1);
  }
}

/** A program that ends badly is started again, but not for ever: so often within a minute, and it stays down. */
const RESTARTS_A_MINUTE = 5;
/** The server's word that another one has the folder: starting it again would not help. */
const IN_USE = 75;

/** Keeps a program running until it is stopped. */
function keepRunning(command, args, env, onGivenUp) {
  const ends = [];
  let program;
  let stopped = false;
  const launch = () => {
    program = start(command, args, env);
    program.on('exit', (code) => {
      if (stopped) return;
      const now = Date.now();
      ends.push(now);
      const tooOften = ends.filter((at) => now - at < 60_000).length > RESTARTS_A_MINUTE;
      if (code === IN_USE || code === 0 || tooOften) return onGivenUp(code ?? 1);
      process.stderr.write(`${args.at(-1)} ended with ${code}; it is started again.\n`);
      setTimeout(() => !stopped && launch(), 500);
    });
  };
  launch();
  return {
    stop: () => {
      stopped = true;
      program.kill('SIGTERM');
    },
  };
}

/**
 * Runs the app, and the devices that stand in where the shop has none of its own, until it is stopped.
 *
 * @param env - FRACTUM_DATA and what else the programs need
 * @param say - told when the app answers
 */
export async function runApp({ port, env, standIns, say }) {
  const programs = [];
  const stop = (code) => {
    for (const program of programs) program.stop();
    process.exitCode = code;
  };
  const serverEnv = { ...env, PORT: String(port), NEXT_TELEMETRY_DISABLED: '1' };
  if (standIns) {
    programs.push(keepRunning('node', ['--import', 'tsx', 'src/devices/standIns.ts'], env, stop));
  }
  programs.push(keepRunning('node', ['scripts/serve.mjs'], serverEnv, stop));
  process.on('SIGINT', () => stop(0));
  process.on('SIGTERM', () => stop(0));
  if (await answering(`http://127.0.0.1:${port}/api/health`)) say();
  else {
    process.stderr.write(
      `The app is not well on port ${port}; http://127.0.0.1:${port}/api/health says why.\n`,
    );
    stop(1);
  }
}
