import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { SignedReading } from '@/core/scale/reading';
import { packLabel as label } from '@/core/tests/label';
import { tcpPrinter } from './printer/tcpPrinter';
import { probeReadingOf, tcpProbe } from './probe/probe';
import { TcpScale } from './scale/tcpScale';
import { deviceAddress, type DeviceAddress } from './wire/address';

const KEY = 'the key of the shop';

let standIns: ChildProcess;
let folder: string;
let panels: string;
const wires = new Map<string, DeviceAddress>();

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'fractum-devices-'));
  standIns = spawn(process.execPath, ['--import', 'tsx', 'src/devices/standIns.ts'], {
    env: { ...process.env, FRACTUM_STAND_INS: '0', FRACTUM_UNIT: 'lb', FRACTUM_DATA: folder },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  while (!said.includes('\n')) said += (await once(standIns.stdout!, 'data')).toString();
  for (const [, name, port] of said.matchAll(/(\w+) (\d+)/g))
    wires.set(name!, { host: '127.0.0.1', port: Number(port) });
  panels = `http://127.0.0.1:${wires.get('panels')!.port}`;
}, 60_000);

afterAll(async () => {
  standIns.kill();
  await once(standIns, 'exit');
  rmSync(folder, { recursive: true });
});

const hand = (path: string, body: object = {}) =>
  fetch(`${panels}${path}`, { method: 'POST', body: JSON.stringify(body) });

/** The first reading that fits. */
async function reading(scale: TcpScale, fits: (reading: SignedReading) => boolean): Promise<SignedReading> {
  const stop = new AbortController();
  let found: SignedReading | undefined;
  await scale.watch((each) => {
    if (!fits(each)) return;
    found ??= each;
    stop.abort();
  }, stop.signal);
  return found!;
}

const steady = (gross: number) => (each: SignedReading) => each.state === 'steady' && each.gross === gross;

describe('a scale that speaks plain text over the network', () => {
  const bench = () => new TcpScale(wires.get('bench')!, KEY);

  it('is heard as a hand puts things on it, each load by its own name', async () => {
    const scale = bench();
    await hand('/place', { weight: 2.94 });
    const first = await reading(scale, steady(2_940));
    expect(first).toMatchObject({ scaleId: 'bench', net: 2_940, unit: 'lb' });
    await hand('/place', { weight: 2.94, again: true });
    const empty = await reading(scale, (each) => each.state === 'empty');
    const second = await reading(scale, steady(2_940));
    expect([empty.net, second.loadId === first.loadId]).toEqual([0, false]);
    await hand('/place', { weight: 0 });
  });

  it('is signed by the shop, which knows its own words again', async () => {
    const scale = bench();
    await hand('/place', { weight: 1.5 });
    const signed = await reading(scale, steady(1_500));
    expect(scale.vouches(signed)).toBe(true);
    expect(scale.vouches({ ...signed, net: 9_000 })).toBe(false);
    expect(new TcpScale(wires.get('bench')!, 'another').vouches(signed)).toBe(false);
    await hand('/place', { weight: 0 });
  });

  it('tells what lay there before it was connected, until the platform was empty', async () => {
    await hand('/place', { weight: 1.5 });
    await reading(bench(), steady(1_500));
    const later = bench();
    const found = await reading(later, steady(1_500));
    expect([found.found, later.vouches(found), later.vouches({ ...found, found: undefined })]).toEqual([
      true,
      true,
      false,
    ]);
    await hand('/place', { weight: 0 });
    expect((await reading(later, (each) => each.state === 'empty')).found).toBeUndefined();
  });

  it('takes a tare, not while it moves', async () => {
    await hand('/place', { weight: 0.04 });
    await reading(bench(), steady(40));
    expect(await bench().tare()).toBe('taken');
    expect(await reading(bench(), (each) => each.tare === 40)).toMatchObject({ net: 0 });
    await hand('/shake', { on: true });
    expect(await bench().tare()).toBe('moving');
    await hand('/shake', { on: false });
    await hand('/place', { weight: 0 });
    await reading(bench(), (each) => each.state === 'empty');
    await bench().tare();
  });

  it('is believed through noise on the wire', async () => {
    await hand('/noise', { on: true });
    await hand('/place', { weight: 3.8 });
    expect(await reading(bench(), steady(3_800))).toMatchObject({ net: 3_800 });
    await hand('/noise', { on: false });
    await hand('/place', { weight: 0 });
  });

  it('that hangs up ends all who watch, and is heard again when it is back', async () => {
    const scale = bench();
    const watching = [1, 2].map(() => scale.watch(() => undefined, new AbortController().signal));
    await reading(scale, () => true);
    await hand('/unplug', { on: true });
    for (const each of watching) await expect(each).rejects.toThrow();
    await expect(scale.tare()).rejects.toThrow();
    await hand('/unplug', { on: false });
    expect((await reading(scale, () => true)).unit).toBe('lb');
  });

  it('is said to be away where nothing listens', async () => {
    const nowhere = new TcpScale(deviceAddress('tcp://127.0.0.1:9'), KEY);
    await expect(nowhere.tare()).rejects.toThrow();
    await expect(nowhere.watch(() => undefined, new AbortController().signal)).rejects.toThrow();
  });

  it('the rail scale is another one, that carries a side', async () => {
    await hand('/rail/place', { weight: 412.3 });
    const rail = new TcpScale(wires.get('rail')!, KEY);
    expect(await reading(rail, steady(412_300))).toMatchObject({ scaleId: 'rail' });
    await hand('/rail/place', { weight: 0 });
  });
});

describe('a label printer over the network', () => {
  it('prints each label once, runs out, jams, and says so', async () => {
    const printer = tcpPrinter(wires.get('printer')!);
    await hand('/printer/roll', { left: 1 });
    expect(await printer.print(label, 'a')).toBe('a.svg');
    // The answer was lost, say: asked again, nothing is printed twice, but it needs no paper either.
    await hand('/printer/roll', { left: 2 });
    expect(await printer.print(label, 'a')).toBe('a.svg');
    await hand('/printer/jam', { on: true });
    await expect(printer.print(label, 'b')).rejects.toThrow('jammed');
    await hand('/printer/jam', { on: false });
    expect(await printer.print(label, 'b')).toBe('b.svg');
    await hand('/printer/roll', { left: 0 });
    await expect(printer.print(label, 'c')).rejects.toThrow('out of labels');
    await hand('/printer/roll', { left: 500 });
    await hand('/printer/open', { on: true });
    await expect(printer.print(label, 'c')).rejects.toThrow('stands open');
    await hand('/printer/open', { on: false });
    expect(readdirSync(join(folder, 'labels')).sort()).toEqual(['a.svg', 'b.svg']);
    const state = await (await fetch(`${panels}/printer/state`)).json();
    expect(state).toMatchObject({ left: 500, trouble: null, last: ['b.svg', 'a.svg'] });
  });

  it('that is off is said to be, and a label that cannot be drawn is nobody else’s fault', async () => {
    await expect(tcpPrinter(deviceAddress('tcp://127.0.0.1:9')).print(label, 'a')).rejects.toThrow(
      'does not answer',
    );
    const endless = { ...label, lines: Array.from({ length: 90 }, () => 'Words.') };
    await expect(tcpPrinter(wires.get('printer')!).print(endless, 'a')).rejects.toThrow('cannot be printed');
  });

  it('that says something else is quoted', async () => {
    const odd = createServer((socket) => socket.end('HELLO\r\n')).listen(0, '127.0.0.1');
    await once(odd, 'listening');
    const { port } = odd.address() as { port: number };
    await expect(tcpPrinter({ host: '127.0.0.1', port }).print(label, 'a')).rejects.toThrow('"HELLO"');
    odd.close();
  });
});

describe('a probe thermometer', () => {
  it('goes to the temperature of the meat and then stands still', async () => {
    const probe = tcpProbe(wires.get('probe')!);
    await hand('/probe/stick', { degrees: 104 });
    let read = await probe.read();
    expect(read.steady).toBe(false);
    while (!read.steady) read = await probe.read();
    expect(read).toEqual({ probeId: 'probe', tenths: 1040, scale: 'F', steady: true });
    expect(probeReadingOf('P probe S warm F')).toBeUndefined();
  });
});

describe('the panels', () => {
  it('are there for every device, and refuse nonsense in words', async () => {
    for (const [path, title] of [
      ['/', 'bench scale'],
      ['/rail/', 'rail scale'],
      ['/printer/', 'label printer'],
      ['/probe/', 'probe thermometer'],
    ] as const)
      expect(await (await fetch(`${panels}${path}`)).text()).toContain(`Simulated ${title}`);
    const much = await hand('/place', { weight: 'much' });
    expect([much.status, await much.text()]).toEqual([409, 'Say a weight such as 2.50.']);
    expect((await hand('/probe/stick', { degrees: 'hot' })).status).toBe(409);
    expect((await hand('/printer/roll', { left: -1 })).status).toBe(409);
    expect([(await hand('/tip')).status, (await fetch(`${panels}/rail/tip`)).status]).toEqual([404, 404]);
    expect((await fetch(`${panels}/place`, { method: 'POST', body: '{' })).status).toBe(400);
    expect((await fetch(`${panels}/place`, { method: 'POST', body: 'x'.repeat(2000) })).status).toBe(400);
  });
});

it.each(['', 'http://127.0.0.1:80', 'tcp://host', 'tcp://host:port'])(
  '"%s" is not where a device listens',
  (text) => {
    expect(() => deviceAddress(text)).toThrow(/"address" expected tcp/);
  },
);
