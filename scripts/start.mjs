import { resolve } from 'node:path';
import {
  ensureBuilt,
  ensureFree,
  ensureInstalled,
  hasOwnDevices,
  run,
  runApp,
  scaleKeyOf,
  standInEnv,
  standInPorts,
} from './prepare.mjs';

/**
 * `npm start`: a real shop on its own data folder, FRACTUM_DATA (data/shop). The first start asks who it is; later ones
 * bring the data to this version and run. Where no device is named (docs/devices.md), those that ship with the app stand in.
 */
const port = Number(process.env.PORT ?? 3000);
const data = resolve(process.env.FRACTUM_DATA ?? 'data/shop');
const own = hasOwnDevices();
await ensureFree(own ? [port] : [port, ...standInPorts(port)], 'start');
ensureInstalled();
ensureBuilt();
const base = { FRACTUM_DATA: data, FRACTUM_SCALE_KEY: process.env.FRACTUM_SCALE_KEY ?? scaleKeyOf(data) };
run('npx', ['tsx', 'scripts/set-up.ts', ...process.argv.slice(2)], base);
await runApp({
  port,
  env: { ...base, ...(own ? {} : standInEnv(port)), FRACTUM_LOG: process.env.FRACTUM_LOG ?? 'info' },
  standIns: !own,
  say: () => process.stdout.write(`\nFractum runs at http://localhost:${port}; its data is in ${data}.\n`),
});
