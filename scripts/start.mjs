import { resolve } from 'node:path';
import { ensureBuilt, ensureFree, ensureInstalled, run, runApp, scaleKeyOf } from './prepare.mjs';

/**
 * `npm start`: a real shop on its own data folder, FRACTUM_DATA (data/shop). The first start asks who it is; later ones
 * bring the data to this version and run. Where FRACTUM_SCALE_URL names no scale, the simulated one stands in.
 */
const port = Number(process.env.PORT ?? 3000);
const data = resolve(process.env.FRACTUM_DATA ?? 'data/shop');
const ownScale = process.env.FRACTUM_SCALE_URL;
await ensureFree(ownScale ? [port] : [port, port + 10], 'start');
ensureInstalled();
ensureBuilt();
const base = { FRACTUM_DATA: data, FRACTUM_SCALE_KEY: process.env.FRACTUM_SCALE_KEY ?? scaleKeyOf(data) };
run('npx', ['tsx', 'scripts/set-up.ts', ...process.argv.slice(2)], base);
const scale = ownScale
  ? { FRACTUM_SCALE_URL: ownScale }
  : { FRACTUM_SCALE_PORT: String(port + 10), FRACTUM_SCALE_URL: `http://127.0.0.1:${port + 10}` };
await runApp({
  port,
  env: { ...base, ...scale, FRACTUM_LOG: process.env.FRACTUM_LOG ?? 'info' },
  scale: !ownScale,
  say: () => process.stdout.write(`\nFractum runs at http://localhost:${port}; its data is in ${data}.\n`),
});
