import { Key } from 'selenium-webdriver';
import type { ShareId } from '@/core/order/animal';
import type { OrderDocument } from '@/core/order/document';
import type { GrindView } from '@/server/grind';
import type { Scanned } from '@/server/wrap';
import { Person } from './browser';
import { RunningDemo } from './runningDemo';
import { walkOf } from './walk';

/** Two owners' trim parted into tubs at the wrap table, ground together at two stations, and paid back in whole packs. */
jest.setTimeout(400_000);

let demo: RunningDemo;
let maren: Person;
let sunna: Person;
let aslak: Person;
let iver: Person;
const shares: ShareId[] = [];
const NAMES = ['Ragna Lowe', 'Tarn Elder'] as const;

beforeAll(async () => {
  demo = await RunningDemo.start('lb');
  const floor = { width: 1920, height: 1080 };
  maren = await Person.arrive(demo.address);
  [sunna, aslak, iver] = [
    await Person.arrive(demo.address, { width: 1024, height: 768 }),
    await Person.arrive(demo.address, floor),
    await Person.arrive(demo.address, floor),
  ];
  await maren.signIn('Maren');
  await sunna.signIn('Sunna');
  await aslak.signIn('Aslak');
  await iver.signIn('Iver');
});
afterAll(async () => {
  for (const person of [maren, sunna, aslak, iver]) await person?.leave();
  await demo?.stop();
});

const step = walkOf();

const hog = (owner: string, tag: string): OrderDocument => ({
  ...{ format: 'fractum.order', version: 1, unit: 'lb', farm: { name: 'Windle Croft' } },
  animal: { tag, species: 'hog', killDate: '2026-11-02', inspection: 'custom-exempt' },
  shares: [
    {
      ...{ part: 'left', owner: { name: owner }, deposit: 50 },
      sheet: {
        houseForTheRest: true,
        grind: { fatPct: 26, lines: [{ recipe: 'breakfast', form: 'bulk', amount: 'rest' }] },
      },
    },
  ],
  weights: { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } },
});

const ON_SCALE = 'section[aria-label="Scale"]';
const ACT = 'main button[class*="act"]';
const TUBS = 'ol[aria-label="Tubs"]';
const LAST = 'ol[aria-label="Last weighings"]';

/** Lays so many pounds on the bench, and waits until a station shows it steady. */
async function lays(person: Person, lb: number): Promise<void> {
  await demo.put(0);
  await person.sees('0.00', ON_SCALE);
  await demo.put(lb);
  await person.sees(lb.toFixed(2), ON_SCALE);
  await person.sees('steady', ON_SCALE);
}

async function jobs(): Promise<GrindView['jobs']> {
  return (await aslak.act<GrindView>('grindView', {})).jobs;
}

it('two owners stand at the block', async () => {
  for (const [at, owner] of NAMES.entries()) {
    const tag = `G91${at}`;
    await maren.act('bookAnimals', { documents: [hog(owner, tag)] });
    const scanned = await maren.act<Scanned>('scannedView', { text: tag });
    const shareId = scanned.kind === 'shares' ? scanned.shares[0]!.shareId : ('' as ShareId);
    const { version } = await maren.act<{ version: number }>('sheetView', { shareId });
    await maren.act('approveSheet', { shareId, version, overrideReason: 'they were told' });
    await maren.act('startBlock', { shareId, reason: '' });
    shares.push(shareId);
  }
});

describe('trim at the wrap table', () => {
  step('goes into tubs by how lean it is, each with its tag', async () => {
    await sunna.open(`/wrap/${shares[0]}`);
    await sunna.click('Tub and barrels');
    await sunna.click('Trim tub');
    await sunna.sees('Trim tub', ON_SCALE);
    await sunna.keys('k');
    await sunna.sees('What lies in the tub?');
    await sunna.click('Trim, 80 % lean');
    await sunna.sees('Trim, 80 % lean', ON_SCALE);
    await lays(sunna, 9);
    await sunna.keys(Key.ENTER);
    await sunna.sees('9.00', LAST);
    await sunna.keys('k');
    await sunna.click('Trim, 50 % lean');
    await lays(sunna, 5);
    await sunna.keys(Key.ENTER);
    await sunna.sees('5.00', LAST);
  });

  step('never into one where it is glands: the barrel is chosen instead', async () => {
    await sunna.keys('k');
    await sunna.click('Glands and lymph nodes: never into a tub');
    await sunna.sees('never ground');
    await sunna.sees('Glands, condemned', ON_SCALE);
  });

  step('of the other owner is one tub', async () => {
    await demo.put(0);
    const typed = { gross: 8_000, tare: 0, why: 'the bench scale is away' };
    const purpose = { kind: 'tub' };
    await sunna.act('weigh', { shareId: shares[1], purpose, pieces: null, typed, sure: true });
  });
});

describe('a pool', () => {
  step('needs a yes in writing of each', async () => {
    await aslak.open('/grind');
    await aslak.keys('o');
    await aslak.click('Ragna Lowe: Breakfast');
    await aslak.sees('Ragna Lowe', 'h1');
    await aslak.keys('p');
    await aslak.click('Tarn Elder, left half,');
    await aslak.sees('has not said yes in writing', 'main [role="alert"]');
    for (const shareId of shares) {
      await maren.open(`/ticket/${shareId}`);
      await maren.click('Grinding together');
      await maren.sees('Keep the signed words');
      await maren.click('Write it down');
      await maren.sees('yes to grinding together with others');
    }
  });

  step('begins with both, and takes the meat of each out of its own tub', async () => {
    await aslak.until('the yes of both', async () =>
      (await jobs()).some(
        ({ mayPool, name }) =>
          name.startsWith('Ragna') && mayPool.some((each) => each.name.startsWith('Tarn') && each.why === ''),
      ),
    );
    await aslak.keys('p');
    await aslak.click('Tarn Elder, left half,');
    await aslak.sees('Together with', 'main');
    await aslak.keys(' ');
    await aslak.sees('Weigh the meat in', ACT);
    await aslak.sees('Tarn Elder', TUBS);
    await aslak.keys('1');
    await lays(aslak, 5);
    await aslak.keys(' ');
    await aslak.sees('for 5.00 lb', 'section[aria-label="Recipe"]');
  });

  step('takes a load once, whichever of two stations is quicker', async () => {
    await iver.open('/grind');
    for (const person of [aslak, iver]) {
      await person.keys('t');
      await person.sees('Weigh the meat in', ACT);
      await person.keys('3');
    }
    await lays(aslak, 3);
    await iver.sees('3.00', ON_SCALE);
    await iver.sees('steady', ON_SCALE);
    await Promise.all([aslak.keys(' '), iver.keys(' ')]);
    for (const person of [aslak, iver]) await person.sees('for 8.00 lb', 'section[aria-label="Recipe"]');
    const batch = (await jobs()).find(({ batch: own }) => own?.owners.length === 2)!.batch!;
    expect(batch.owners.map(({ meat }) => meat)).toEqual([5_000, 3_000]);
  });

  step('is seasoned once for both, and shown as packs due to each', async () => {
    const { id, standing } = (await jobs()).find(({ batch }) => batch?.owners.length === 2)!.batch!;
    for (const { name, due } of standing.ingredients) {
      const typed = { gross: due * 100, tare: 0, why: 'the scale is away' };
      const put = { batchId: id, ingredient: name, lot: 'S-9', otherwise: '', typed };
      await aslak.act('weighIngredient', put);
    }
    await aslak.sees('Mixed', ACT);
    await aslak.keys(' ');
    await aslak.sees(/0 of \d packs/, 'section[aria-label="In and out"]');
  });
});
