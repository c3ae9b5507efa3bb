import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { freePort } from './runningDemo';

/** Kills enough to hit the app while it starts, while it weighs and while it prints; `npm run kill-test` does a thousand. */
const KILLS = 8;

it('an app that is killed while two stations weigh loses nothing, doubles nothing, and its book proves itself', async () => {
  const env = { ...process.env, PORT: String(await freePort()), FRACTUM_LOG: 'silent' };
  const test = spawn('npx', ['tsx', 'scripts/kill-test.ts', '--kills', String(KILLS)], {
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  test.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const [code] = (await once(test, 'exit')) as [number];
  expect(said).toContain(`${KILLS} kills`);
  expect(said.match(/^ok /gm)).toHaveLength(12);
  expect([code, said.match(/^WRONG.*/gm)]).toEqual([0, null]);
}, 600_000);
