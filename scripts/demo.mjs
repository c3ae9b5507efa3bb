import { existsSync, rmSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { resolve } from 'node:path';
import {
  ensureBuilt,
  ensureFree,
  ensureInstalled,
  ensureSeason,
  run,
  runApp,
  scaleKeyOf,
  standInEnv,
  standInPorts,
} from './prepare.mjs';

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
await ensureFree([port, ...standInPorts(port)], 'run demo');
if (values.fresh && existsSync(data)) rmSync(data, { recursive: true });
ensureInstalled();
ensureBuilt();
const env = {
  FRACTUM_DATA: data,
  FRACTUM_UNIT: values.unit || 'lb',
  ...standInEnv(port),
  FRACTUM_SCALE_KEY: scaleKeyOf(data),
  FRACTUM_LOG: process.env.FRACTUM_LOG ?? 'warn',
};
run('npx', ['tsx', 'scripts/seed.ts', ensureSeason(env.FRACTUM_UNIT)], env);
await runApp({
  port,
  env,
  standIns: true,
  say: () =>
    process.stdout.write(
      `\nFractum runs at http://localhost:${port}\n` +
        `Its scales, label printer and probe are at http://localhost:${port + 10}\n` +
        `Data is in ${data}; labels are spooled to ${data}/labels. Ctrl C stops it.\n`,
    ),
});
