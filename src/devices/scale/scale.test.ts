import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import type { ScaleReading, SignedReading } from '@/core/scale/reading';
import { httpScale } from './httpScale';
import {
  emptyPlatform,
  nextReading,
  placeAgain,
  placeLoad,
  shake,
  takeTare,
  type Platform,
} from './platform';

/** Reads the platform so many times and gives the last reading. */
function settle(platform: Platform, readings = 6): { platform: Platform; reading: ScaleReading } {
  let next = nextReading(platform, 0.5);
  for (let i = 1; i < readings; i += 1) next = nextReading(next.platform, 0.5);
  return next;
}

const empty = emptyPlatform('bench', 'lb');

const KEY = 'the key of the test scale';

describe('the simulated platform', () => {
  it('moves before it is steady, and shows divisions of a hundredth', () => {
    const placed = placeLoad(empty, 2_943);
    expect(nextReading(placed, 1).reading).toMatchObject({ state: 'moving' });
    expect(nextReading(placed, 1).reading.net).not.toBe(2_940);
    expect(settle(placed).reading).toMatchObject({ state: 'steady', gross: 2_940, net: 2_940, tare: 0 });
  });

  it('never shows less than nothing while it swings', () => {
    expect(nextReading(placeLoad(empty, 10), -1).reading.gross).toBe(0);
  });

  it('weighs net of the tare, and an empty platform clears it', () => {
    const tared = takeTare(settle(placeLoad(empty, 40)).platform) as Platform;
    expect(settle(placeLoad(tared, 1_330)).reading).toMatchObject({ gross: 1_330, tare: 40, net: 1_290 });
    expect(takeTare(settle(placeLoad(tared, 0)).platform)).toMatchObject({ tare: 0 });
  });

  it('is not tared while it moves', () => {
    expect(takeTare(placeLoad(empty, 40))).toBe('not-steady');
    expect(takeTare(shake(settle(placeLoad(empty, 40)).platform, true))).toBe('not-steady');
  });

  it('says when it is too much, and when nothing is there', () => {
    expect(settle(placeLoad(empty, 45_000)).reading.state).toBe('overload');
    expect(settle(empty).reading.state).toBe('empty');
  });

  it('names each load anew, the same weight again as well', () => {
    const first = placeLoad(empty, 1_000);
    const same = placeLoad(first, 1_000);
    const again = placeAgain(same, 1_000);
    expect([first, same, again].map((platform) => platform.loadCount)).toEqual([1, 1, 2]);
  });

  it('has five-gram divisions in kilograms', () => {
    expect(settle(placeLoad(emptyPlatform('bench', 'kg'), 1_483)).reading).toMatchObject({
      net: 1_485,
      unit: 'kg',
    });
  });
});

describe('the simulated scale, a process of its own', () => {
  let scale: ChildProcess;
  let address: string;

  beforeAll(async () => {
    const script = 'src/devices/scale/simulator.ts';
    const env = { ...process.env, FRACTUM_SCALE_PORT: '0', FRACTUM_UNIT: 'lb', FRACTUM_SCALE_KEY: KEY };
    scale = spawn(process.execPath, ['--import', 'tsx', script], {
      env,
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let said = '';
    while (!/localhost:(\d+)/.test(said)) said += (await once(scale.stdout!, 'data')).toString();
    address = `http://127.0.0.1:${/localhost:(\d+)/.exec(said)![1]}`;
  }, 60_000);
  afterAll(async () => {
    scale.kill();
    await once(scale, 'exit');
  });

  const post = (path: string, body?: object) =>
    fetch(`${address}${path}`, { method: 'POST', body: body ? JSON.stringify(body) : '' });

  /** The first reading that fits. */
  async function reading(fits: (reading: SignedReading) => boolean): Promise<SignedReading> {
    const stop = new AbortController();
    let found: SignedReading | undefined;
    await httpScale(address, KEY)
      .watch((each) => {
        if (!fits(each)) return;
        found ??= each;
        stop.abort();
      }, stop.signal)
      .catch((error: Error) => {
        if (error.name !== 'AbortError') throw error;
      });
    return found!;
  }

  it('streams what is put on it by hand', async () => {
    await post('/place', { weight: 2.94 });
    expect(await reading((each) => each.state === 'steady')).toMatchObject({ net: 2_940, unit: 'lb' });
    await post('/place', { weight: 0 });
    expect((await reading((each) => each.state === 'empty')).net).toBe(0);
  });

  it('signs what it says, so that the shop can tell its own scale', async () => {
    await post('/place', { weight: 1.5 });
    const signed = await reading((each) => each.state === 'steady');
    expect(httpScale(address, KEY).vouches(signed)).toBe(true);
    expect(httpScale(address, KEY).vouches({ ...signed, net: 9_000 })).toBe(false);
    expect(httpScale(address, 'another').vouches(signed)).toBe(false);
    await post('/place', { weight: 0 });
  });

  it('takes a tare over the same wire', async () => {
    await post('/place', { weight: 0.04 });
    await reading((each) => each.state === 'steady' && each.gross === 40);
    await httpScale(address, KEY).tare();
    expect(await reading((each) => each.tare === 40)).toMatchObject({ net: 0 });
  });

  it('has a panel, and refuses nonsense in words', async () => {
    expect(await (await fetch(address)).text()).toContain('Simulated bench scale');
    const heavy = await post('/place', { weight: 'much' });
    expect([heavy.status, await heavy.text()]).toEqual([409, 'Say a weight such as 2.50.']);
    expect((await post('/tip', {})).status).toBe(404);
    expect((await fetch(`${address}/place`, { method: 'POST', body: '{' })).status).toBe(400);
    expect((await fetch(`${address}/place`, { method: 'POST', body: 'x'.repeat(2000) })).status).toBe(400);
    await post('/shake', { shaking: true });
    expect(await httpScale(address, KEY).tare()).toBe('moving');
    await post('/shake', { shaking: false });
  });
});

describe('a scale that is away', () => {
  it('is said to be away', async () => {
    await expect(httpScale('http://127.0.0.1:9', KEY).tare()).rejects.toThrow();
    await expect(
      httpScale('http://127.0.0.1:9', KEY).watch(() => undefined, new AbortController().signal),
    ).rejects.toThrow();
  });
});
