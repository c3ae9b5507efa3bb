import { existsSync, rmSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { resolve } from 'node:path';
import { answering, ensureBuilt, ensureInstalled, isFree, run, start } from './prepare.mjs';

/** `npm run demo [-- --fresh] [-- --unit kg]`: install, build, fill, start. Data is kept from start to start. */
const { values } = parseArgs({
  options: { fresh: { type: 'boolean', default: false }, unit: { type: 'string', default: '' } },
});
if (!['', 'lb', 'kg'].includes(values.unit)) {
  process.stderr.write('--unit is lb or kg.\n');
  process.exit(2);
}

const port = Number(process.env.PORT ?? 3000);
const data = resolve(process.env.FRACTUM_DATA ?? `data/demo${values.unit === 'kg' ? '-kg' : ''}`);
const env = {
  FRACTUM_DATA: data,
  FRACTUM_UNIT: values.unit || 'lb',
  FRACTUM_SCALE_PORT: String(port + 10),
  FRACTUM_SCALE_URL: `http://127.0.0.1:${port + 10}`,
  FRACTUM_LOG: process.env.FRACTUM_LOG ?? 'warn',
  NEXT_TELEMETRY_DISABLED: '1',
};

for (const needed of [port, port + 10]) {
  if (await isFree(needed)) continue;
  process.stderr.write(
    `Port ${needed} is taken. Stop what runs there, or choose another: PORT=8080 npm run demo\n`,
  );
  process.exit(1);
}

if (values.fresh && existsSync(data)) rmSync(data, { recursive: true });
ensureInstalled();
ensureBuilt();
run('npx', ['tsx', 'scripts/seed.ts'], env);

const programs = [
  start('node', ['--import', 'tsx', 'src/devices/scale/simulator.ts'], env),
  start('node', ['node_modules/next/dist/bin/next', 'start', '-p', String(port)], env),
];
const stop = () => {
  for (const program of programs) program.kill('SIGTERM');
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
for (const program of programs) {
  program.on('exit', (code) => {
    stop();
    process.exitCode = code ?? 0;
  });
}

if (await answering(`http://127.0.0.1:${port}/api/health`)) {
  process.stdout.write(
    `\nFractum runs at http://localhost:${port}\n` +
      `The simulated scale is at http://localhost:${port + 10}\n` +
      `Data is in ${data}; labels are spooled to ${data}/labels. Ctrl C stops it.\n`,
  );
} else {
  process.stderr.write(`The app did not answer on port ${port}. Is the port taken? Set PORT to another.\n`);
  stop();
  process.exitCode = 1;
}
