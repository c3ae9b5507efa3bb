import { readFileSync } from 'node:fs';
import { Key } from 'selenium-webdriver';
import type { OrderDocument } from '@/core/order/document';
import type { BatchOfDay, GrindView } from '@/server/grind';
import type { Scanned, WrapView } from '@/server/wrap';
import { Person } from './browser';
import { RunningDemo } from './runningDemo';
import { walkOf } from './walk';

/** Smoked links of one household from its own tub, by keys and scales; each step stands on the one before. */
jest.setTimeout(400_000);

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

let demo: RunningDemo;
let maren: Person;
let aslak: Person;
let shareId: string;

beforeAll(async () => {
  demo = await RunningDemo.start('lb');
  maren = await Person.arrive(demo.address);
  aslak = await Person.arrive(demo.address, { width: 1920, height: 1080 });
  await maren.signIn('Maren');
  await aslak.signIn('Aslak');
});
afterAll(async () => {
  for (const person of [maren, aslak]) await person?.leave();
  await demo?.stop();
});

const HOG: OrderDocument = {
  format: 'fractum.order',
  version: 1,
  unit: 'lb',
  farm: { name: 'Windle Croft' },
  animal: { tag: 'G901', species: 'hog', killDate: '2026-11-02', inspection: 'custom-exempt' },
  shares: [
    {
      part: 'left',
      owner: { name: 'Ragna Lowe' },
      deposit: 50,
      sheet: {
        houseForTheRest: true,
        answers: { ham: [{ option: 'grind' }] },
        grind: {
          fatPct: 26,
          lines: [
            { recipe: 'sugar-smoked', form: 'links', amount: { weight: 15 } },
            { recipe: 'breakfast', form: 'bulk' },
          ],
        },
      },
    },
  ],
  weights: { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } },
};

const step = walkOf();

const typed = (gross: number) => ({ gross, tare: 0, why: 'the bench scale is away' });

async function batch(): Promise<BatchOfDay> {
  const { jobs } = await aslak.act<GrindView>('grindView', {});
  return jobs.find((job) => job.tag === 'G901' && job.cut.includes('links'))!.batch!;
}

const due = async (name: string) =>
  (await batch()).standing.ingredients.find((each) => each.name === name)!.due / 10;

const ON_SCALE = 'section[aria-label="Scale"]';
const ACT = 'main button[class*="act"]';

/** The seasoning scale as the screen shows it. */
async function shows(grams: number, state: string): Promise<void> {
  await aslak.until(`the scale to say ${grams.toFixed(1)}`, async () => {
    const figure = await aslak.text(`${ON_SCALE} p[class*="figure"]`);
    return figure.startsWith(grams.toFixed(1)) && (await aslak.text(ON_SCALE)).includes(state);
  });
}

/** Lifts off what lay there, and puts grams on: what weighs the same as before is another load. */
async function pours(grams: number): Promise<void> {
  await demo.put(0, '/spice');
  await shows(0, 'empty');
  await demo.put(grams, '/spice');
  await shows(grams, 'steady');
}

it('a tub stands at the grinder', async () => {
  await maren.act('bookAnimals', { documents: [HOG] });
  const scanned = await maren.act<Scanned>('scannedView', { text: 'G901' });
  shareId = scanned.kind === 'shares' ? scanned.shares[0]!.shareId : '';
  const { version } = await maren.act<{ version: number }>('sheetView', { shareId });
  await maren.act('approveSheet', { shareId, version, overrideReason: 'they were told' });
  await maren.act('startBlock', { shareId, reason: '' });
  const purpose = { kind: 'tub' };
  await maren.act('weigh', { shareId, purpose, pieces: null, typed: typed(26_000), sure: true });
});

describe('a batch of smoked links', () => {
  step('is chosen from the order of the day, and begun', async () => {
    await aslak.open('/grind');
    await aslak.find('ol[aria-label="The day at the grinder"]');
    await aslak.keys('o');
    await aslak.click('Ragna Lowe: Brown sugar');
    await aslak.sees('Ragna Lowe', 'h1');
    await aslak.sees(/Begin/, ACT);
    await aslak.keys(' ');
    await aslak.sees('Weigh the meat in', ACT);
  });

  step('takes its meat from the owner’s own tub', async () => {
    await demo.put(20);
    await aslak.sees('20.00', ON_SCALE);
    await aslak.sees('steady', ON_SCALE);
    await aslak.keys(' ');
    await aslak.sees('for 20.00 lb', 'section[aria-label="Recipe"]');
    await aslak.sees('6.00', 'section[aria-label="From the owner’s own tub"]');
    await demo.put(0);
  });

  step('says how much to take out, and takes what is right', async () => {
    await aslak.sees('Weigh water', ACT);
    const water = await due('water');
    await pours(water + 40);
    await aslak.sees(/Take out/, ON_SCALE);
    await aslak.keys(' ');
    await aslak.sees(/Take out [\d.]+ g or more/, 'main [role="alert"]');
    await pours(water);
    await aslak.sees('It is right', ON_SCALE);
    await aslak.keys(' ');
    await aslak.until(
      'water in the recipe',
      async () => (await batch()).standing.ingredients[0]!.weighed !== null,
    );
  });

  step('refuses curing salt over its limit, and asks for a second person who is not the first', async () => {
    const names = (await batch()).standing.ingredients.map(({ name }) => name);
    await aslak.keys(String(names.indexOf('curing salt') + 1));
    await aslak.sees('curing salt', `${ON_SCALE} h2`);
    const salt = await due('curing salt');
    await aslak.keys('l');
    await aslak.type('#lot', 'PS-7');
    await aslak.keys(Key.ENTER);
    await aslak.sees('lot PS-7', ON_SCALE);
    await pours(salt * 1.3);
    await aslak.sees(/Over the limit/, ON_SCALE);
    await aslak.keys(' ');
    await aslak.sees(/Over the limit of its class/, 'main [role="alert"]');
    await pours(Math.round(salt * 10) / 10);
    await aslak.keys(' ');
    await aslak.sees('Second person', ACT);
    await aslak.keys(' ');
    await aslak.type('#name', 'Aslak');
    await aslak.type('#secret', 'alder-and-salt');
    await aslak.keys(Key.ENTER);
    await aslak.sees(/Ask somebody else|do not fit/, '.ant-modal');
    await aslak.type('#name', 'Maren');
    await aslak.type('#secret', 'kelp-and-tide');
    await aslak.keys(Key.ENTER);
    await aslak.sees('Maren looked', 'section[aria-label="Recipe"]');
  });

  step('takes the rest of its seasoning in order, and is mixed', async () => {
    for (;;) {
      const next = (await batch()).standing.ingredients.find(({ weighed }) => weighed === null);
      if (!next) break;
      await aslak.sees(next.name, `${ON_SCALE} h2`);
      await pours(next.due / 10);
      await aslak.keys(' ');
      await aslak.until(`${next.name} in the recipe`, async () => {
        const now = (await batch()).standing.ingredients.find(({ name }) => name === next.name)!;
        return now.weighed !== null;
      });
    }
    await aslak.sees('Mixed', ACT);
    await aslak.keys(' ');
    await aslak.sees(/are packed/, 'section[aria-label="In and out"]');
  });

  step('is closed when what went in came out, but for a film', async () => {
    const { standing } = await batch();
    const lineKey = (await aslak.act<GrindView>('grindView', {})).jobs.find(
      ({ batch: own }) => own !== null,
    )!.lineKey;
    const net = standing.mix - 120;
    const purpose = { kind: 'green', from: 'tub', lineKey };
    await maren.act('weigh', { shareId, purpose, pieces: null, typed: typed(net), sure: true });
    await aslak.sees('The head is open', ACT);
    await aslak.keys(' ');
    await aslak.sees('Close the batch', ACT);
    await aslak.keys(' ');
    await aslak.until('the batch closed', async () => (await batch()).standing.isClosed);
  });

  step('is told to whoever reconciles: what was added is no meat', async () => {
    await maren.open(`/reconcile/${shareId}`);
    await maren.sees(/seasoning and water added/);
  });

  step('can be traced from a pack back to salt, hands and animal', async () => {
    const { jobs } = await aslak.act<GrindView>('grindView', {});
    const { lineKey } = jobs.find(({ batch: own }) => own !== null)!;
    const purpose = { kind: 'package', from: 'cure', lineKey };
    await maren.act('weigh', { shareId, purpose, pieces: null, typed: typed(1010), sure: true });
    const { weighings } = await maren.act<WrapView>('wrapView', { shareId });
    const { serial } = weighings.find(({ kind }) => kind === 'package')!;
    await maren.open('/trace');
    await maren.type('input[aria-label="A pack, a tag or a lot"]', `no. ${serial}`);
    await maren.keys(Key.ENTER);
    const page = await maren.sees('The way back');
    expect(page).toMatch(/curing salt 22\.\d g, lot PS-7/);
    expect(page).toMatch(/Aslak and Maren/);
    expect(page).toMatch(/Hog G901 of Windle Croft/);
    await maren.type('input[aria-label="A pack, a tag or a lot"]', 'ps-7');
    await maren.keys(Key.ENTER);
    await maren.sees('lot ps-7', 'h2');
    await maren.sees('Ragna Lowe', 'table');
  });
});

it('can be used by everybody, and on a tablet', async () => {
  await aslak.open('/grind');
  await aslak.find('ol[aria-label="The day at the grinder"]');
  await aslak.driver.executeScript(AXE);
  const found = await aslak.driver.executeAsyncScript<{ id: string; nodes: { target: string[] }[] }[]>(
    `const done = arguments[arguments.length - 1];
     axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa'] }).then((result) => done(result.violations));`,
  );
  expect(found.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target).join(' ')}`)).toEqual([]);
  await aslak.resize({ width: 1024, height: 768 });
  const wide = await aslak.driver.executeScript<boolean>(
    `return document.documentElement.scrollWidth > window.innerWidth + 1`,
  );
  expect(wide).toBe(false);
});
