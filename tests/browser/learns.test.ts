import type { OrderDocument } from '@/core/order/document';
import type { Scanned, WrapView } from '@/server/wrap';
import { Person } from './browser';
import { RunningDemo } from './runningDemo';

/** What is closed sharpens what is forecast next: seen on the sheet of one that still hangs. */
jest.setTimeout(400_000);

let demo: RunningDemo;
let maren: Person;

beforeAll(async () => {
  demo = await RunningDemo.start('lb');
  maren = await Person.arrive(demo.address);
  await maren.signIn('Maren');
});
afterAll(async () => {
  await maren?.leave();
  await demo?.stop();
});

const OWNERS = ['Edda Swann', 'Finn Hale', 'Gerda Lowe', 'Hulda Marsh'] as const;

/** Two bison in halves. */
const BISON = [OWNERS.slice(0, 2), OWNERS.slice(2)].map((owners, index): OrderDocument => ({
  format: 'fractum.order',
  version: 1,
  unit: 'lb',
  farm: { name: 'Windle Croft' },
  animal: { tag: `N90${index}`, species: 'bison', killDate: '2026-11-02', inspection: 'custom-exempt' },
  shares: owners.map((name, side) => ({
    part: side === 0 ? ('left' as const) : ('right' as const),
    owner: { name },
    deposit: 50,
    sheet: { houseForTheRest: true },
  })),
  weights: { left: { hot: 300, cold: 292 }, right: { hot: 300, cold: 292 } },
}));

/** This shop's bison carry more meat than was thought. */
const HEAVIER = 1.08;

/** Weighs all of a share by hand: its cuts heavier than they were expected, and so much less fat and bone. */
async function cutAndWeigh(shareId: string): Promise<void> {
  const { version } = await maren.act<{ version: number }>('sheetView', { shareId });
  await maren.act('approveSheet', { shareId, version, overrideReason: '' });
  await maren.act('startBlock', { shareId, reason: '' });
  const { lines, losses, expectedTub, scaleMost } = await maren.act<WrapView>('wrapView', { shareId });
  const weigh = async (purpose: object, net: number) => {
    const loads = Math.max(1, Math.ceil(net / scaleMost));
    for (let load = 0; load < loads; load += 1) {
      const gross = Math.floor(net / loads);
      const typed = { gross, tare: 0, why: 'the bench scale is away' };
      if (gross > 0) await maren.act('weigh', { shareId, purpose, pieces: null, typed, sure: true });
    }
  };
  await weigh({ kind: 'tub' }, expectedTub);
  let more = 0;
  for (const { key, kind, packaged, packs } of lines) {
    const from = kind === 'grind' ? 'tub' : 'share';
    const each = packaged / packs;
    const net = Math.floor(kind === 'cut' ? each * HEAVIER : each);
    more += packs * (net - each);
    for (let pack = 0; pack < packs; pack += 1) await weigh({ kind: 'package', from, lineKey: key }, net);
  }
  await weigh({ kind: 'barrel', barrel: 'inedible' }, losses.inedible);
  await weigh({ kind: 'barrel', barrel: 'fat' }, Math.max(0, losses.fat - more / 2));
  await weigh({ kind: 'barrel', barrel: 'bone' }, Math.max(0, losses.bone - more / 2));
}

/** What the foot of a sheet promises, and on how many finished shares it stands. */
async function promised(shareId: string) {
  await maren.open(`/sheet/${shareId}`);
  const foot = await maren.sees(/take-home, \d+ to \d+/, 'footer');
  const [, low, high] = /take-home, (\d+) to (\d+)/.exec(foot)!.map(Number);
  const takeHome = Number(/([\d.]+)\s*lb/.exec(foot)![1]);
  await maren.clickOn('footer dl button');
  const told = await maren.sees('of your finished bison shares', '.ant-popover');
  return { low: low!, high: high!, takeHome, of: Number(/From (\d+) of your/.exec(told)![1]) };
}

it('three bison halves that are closed move what the fourth is forecast, and its range', async () => {
  for (const document of BISON) await maren.act('bookAnimals', { documents: [document] });
  const idOf = new Map<string, string>();
  for (const { animal } of BISON) {
    const scanned = await maren.act<Scanned>('scannedView', { text: animal.tag });
    if (scanned.kind !== 'shares') throw new Error(`no shares of ${animal.tag}`);
    for (const { shareId, name } of scanned.shares) idOf.set(name.split(',')[0]!, shareId);
  }
  const [first, second, third, fourth] = OWNERS.map((name) => idOf.get(name)!);
  const before = await promised(fourth!);
  for (const shareId of [first!, second!, third!]) {
    await cutAndWeigh(shareId);
    await maren.open(`/reconcile/${shareId}`);
    await maren.click('Close the balance');
    await maren.type('#note', 'looked over');
    await maren.click('Close and make the bill final');
    await maren.sees('The bill', 'h2');
  }
  const after = await promised(fourth!);
  expect(after.of).toBe(before.of + 3);
  expect(after.takeHome).toBeGreaterThan(before.takeHome + 0.3);
  expect(after.high).toBeGreaterThan(before.high);
  expect([before, after].every(({ low, high, takeHome }) => low < takeHome && takeHome < high)).toBe(true);
});
