import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import type { OrderDocument, SheetDocument } from '@/core/order/document';
import type { Label } from '@/core/label/label';
import type { Scanned, WrapView } from '@/server/wrap';
import { Person } from './browser';
import { filmOf } from './film';
import { RunningDemo } from './runningDemo';
import { walkOf } from './walk';

/** A day at block and wrap table, by keys and scans alone; each step stands on the one before. */
jest.setTimeout(400_000);

let demo: RunningDemo;
let maren: Person;
let iver: Person;
let sunna: Person;

const SPACE = ' ';

beforeAll(async () => {
  demo = await RunningDemo.start('lb');
  maren = await Person.arrive(demo.address);
  iver = await Person.arrive(demo.address, { width: 1920, height: 1080 });
  sunna = await Person.arrive(demo.address, { width: 1024, height: 768 });
  await maren.signIn('Maren');
  await iver.signIn('Iver');
  await sunna.signIn('Sunna');
});
afterAll(async () => {
  for (const person of [maren, iver, sunna]) await person?.leave();
  await demo?.stop();
});

const HOUSE: SheetDocument = { houseForTheRest: true };
const STEAKS: SheetDocument = { houseForTheRest: true, answers: { 'short-loin': [{ option: 'strip' }] } };

function animal(
  said: Pick<OrderDocument['animal'], 'tag' | 'species'> & { carcass?: OrderDocument['animal']['carcass'] },
  rest: Pick<OrderDocument, 'shares' | 'weights'>,
): OrderDocument {
  return {
    format: 'fractum.order',
    version: 1,
    unit: 'lb',
    farm: { name: 'Windle Croft' },
    animal: { ...said, killDate: '2026-11-02', inspection: 'custom-exempt' },
    ...rest,
  } as OrderDocument;
}

const hung = (hot: number, cold: number) => ({ left: { hot, cold }, right: { hot, cold } });

const DAY: readonly OrderDocument[] = [
  animal(
    { tag: 'B901', species: 'beef' },
    {
      shares: [
        { part: 'left', owner: { name: 'Aud Fellows' }, deposit: 50, sheet: HOUSE },
        { part: 'right', owner: { name: 'Bram Tolley' }, deposit: 50, sheet: STEAKS },
      ],
      weights: hung(372, 362),
    },
  ),
  animal(
    { tag: 'H902', species: 'hog' },
    {
      shares: [{ part: 'left', owner: { name: 'Cato Ness' }, deposit: 50, sheet: HOUSE }],
      weights: hung(92, 91),
    },
  ),
  animal(
    { tag: 'L903', species: 'lamb' },
    {
      shares: [{ part: 'whole', owner: { name: 'Dagny Orr' }, deposit: 50, sheet: HOUSE }],
      weights: hung(26.1, 25.4),
    },
  ),
  animal(
    { tag: 'B904', species: 'beef' },
    {
      shares: [
        { part: 'right', sharePct: 50, owner: { name: 'Egil Pask' }, deposit: 50, sheet: HOUSE },
        { part: 'right', sharePct: 50, owner: { name: 'Frida Quill' }, deposit: 50 },
      ],
      weights: hung(360, 351),
    },
  ),
];

const step = walkOf();

const SHARES = new Map<string, string>();

async function sharesOf(tag: string): Promise<{ shareId: string; name: string }[]> {
  const scanned = await maren.act<Scanned>('scannedView', { text: tag });
  return scanned.kind === 'shares' ? [...scanned.shares] : [];
}

const viewOf = (person: Person, who: string) =>
  person.act<WrapView>('wrapView', { shareId: SHARES.get(who)! });

/** Scans until the page says so: a busy machine may type as slowly as a hand. */
async function scans(person: Person, text: string, seen: string | RegExp): Promise<void> {
  await person.until(`a scan of ${text} to be heard`, async () => {
    await person.scan(text);
    for (let look = 0; look < 10; look += 1) {
      const page = await person.text();
      if (typeof seen === 'string' ? page.includes(seen) : seen.test(page)) return true;
    }
    return false;
  });
}

async function stands(person: Person, weight: number): Promise<void> {
  await demo.put(weight);
  await person.find('b[data-state="steady"]');
  await person.until(`the scale to say ${weight}`, async () =>
    (await person.text('section[aria-label="Scale"]')).includes(weight.toFixed(2)),
  );
}

const packs = async (who: string) =>
  (await viewOf(sunna, who)).weighings.filter(({ kind }) => kind === 'package').length;

/** Enter with a weight on, until it is in the book; what is asked again is said yes to. */
async function take(who: string, weight: number): Promise<void> {
  const before = (await viewOf(sunna, who)).weighings.length;
  const inBook = async () => (await viewOf(sunna, who)).weighings.length === before + 1;
  await stands(sunna, weight);
  await sunna.keys(Key.ENTER);
  let said = '';
  await sunna
    .until('the weight in the book', async () => {
      if (await inBook()) return true;
      said = await sunna.text('section[aria-label="Scale"] [role="status"]');
      if (/again/.test(said)) await sunna.keys(Key.ENTER);
      return false;
    })
    .catch(() => {
      throw new Error(`${weight} was not taken: ${said}`);
    });
  await demo.put(0);
  await sunna.find('b[data-state="empty"]');
}

/** What the chosen target expects of one weighing, as the table says. */
async function expected(): Promise<number> {
  const [, low, high] =
    /expected ([\d.]+) to ([\d.]+)/.exec(await sunna.text('section[aria-label="Scale"]')) ?? [];
  return low ? Math.round(((Number(low) + Number(high)) / 2) * 50) / 50 : 1;
}

const OPEN_SECTION = '[role="tab"][aria-selected="true"]';

/** Turns to a section of the table by its key. */
async function turnTo(section: string): Promise<void> {
  await sunna.until(section, async () => {
    const open = await sunna.text(OPEN_SECTION);
    if (open.startsWith(section)) return true;
    await sunna.keys(']');
    return false;
  });
}

/** Targets of the open section of which something is still due. */
async function stillDue(): Promise<number> {
  return Number(/\d+$/.exec((await sunna.text(OPEN_SECTION)).trim())![0]);
}

describe('a cutting day', () => {
  step('begins with what hangs and has its sheets', async () => {
    for (const document of DAY) await maren.act('bookAnimals', { documents: [document] });
    for (const {
      animal: { tag },
    } of DAY) {
      for (const { shareId, name } of await sharesOf(tag)) SHARES.set(name.split(',')[0]!, shareId);
    }
    expect(SHARES.size).toBe(6);
    for (const [who, shareId] of SHARES) {
      if (who === 'Frida Quill') continue;
      const { version } = await maren.act<{ version: number }>('sheetView', { shareId });
      await maren.act('approveSheet', { shareId, version, overrideReason: '' });
    }
  });

  step('the cutter scans the tag of a lamb and takes it to the block', async () => {
    await iver.open('/block');
    await iver.sees('The block', 'h1');
    await scans(iver, 'L903', 'Take to the block');
    await iver.keys(Key.ENTER);
    await iver.sees(/step|Steps|Read/);
    await iver.find('nav[aria-label="Steps of the break"]');
  });

  const at = () => iver.text('nav[aria-label="Steps of the break"] [aria-current="step"]');

  step('and goes through its whole break by the one key, the network away for a part of it', async () => {
    const steps = (await iver.all('nav[aria-label="Steps of the break"] li')).length;
    expect(steps).toBeGreaterThan(8);
    for (let done = 1; done < steps; done += 1) {
      const before = await at();
      if (done === 3) await iver.network(false);
      await iver.keys(SPACE);
      await iver.until('the next step', async () => (await at()) !== before);
      if (done === 6) {
        await iver.sees(/not sent, safe here/);
        await iver.network(true);
      }
    }
    await iver.sees('all saved');
  });

  step('the wrapper scans the same tag and wraps all of it, scale and Enter', async () => {
    await sunna.open('/wrap');
    await scans(sunna, 'L903', 'From the block');
    for (const section of ['From the block', 'Tub and barrels', 'From the grinder', 'From the smokehouse']) {
      await turnTo(section);
      while ((await stillDue()) > 0) await take('Dagny Orr', await expected());
    }
    const view = await viewOf(sunna, 'Dagny Orr');
    const asked = view.lines.reduce((sum, { packs: each }) => sum + each, 0);
    expect(await packs('Dagny Orr')).toBeGreaterThanOrEqual(asked);
    expect(Math.abs(view.onBlock)).toBeLessThan(view.cold * 0.1);
  });

  step('two halves of a beef are cut by two sheets, each table at its own', async () => {
    for (const who of ['Aud Fellows', 'Bram Tolley']) {
      await iver.open(`/block/${SHARES.get(who)}`);
      await iver.sees('Take to the block');
      await iver.keys(Key.ENTER);
      await iver.find('nav[aria-label="Steps of the break"]');
    }
    const cuts = async (who: string) => (await viewOf(sunna, who)).lines.map(({ cut }) => cut);
    expect(await cuts('Bram Tolley')).not.toEqual(await cuts('Aud Fellows'));
    await sunna.open('/wrap');
    await scans(sunna, 'B901', 'Which of these');
    await sunna.keys('2');
    await sunna.sees('From the block');
  });

  step(
    'a cut of twenty-seven is chosen by two digits or by its card, and a pack taken back by scanning it',
    async () => {
      await sunna.open(`/wrap/${SHARES.get('Bram Tolley')}`);
      await sunna.sees('From the block');
      const { tradeItems, lines } = await viewOf(sunna, 'Bram Tolley');
      const line = lines.find(({ cut, cure }) => /strip/i.test(cut) && cure === null)!;
      await scans(sunna, `01${tradeItems[line.key]}`, new RegExp(`${line.cut}, pack 1`));
      await take('Bram Tolley', await expected());
      const [pack] = (await viewOf(sunna, 'Bram Tolley')).weighings;
      const label = await sunna.act<Label>('labelView', { weighingId: pack!.id, copy: 1 });
      const bars = label.barcode.replace(/[()]/g, '');
      await scans(sunna, bars, `Pack ${pack!.serial}`);
      await sunna.keys('t');
      await sunna.sees('Taken back');
      expect(await packs('Bram Tolley')).toBe(0);
    },
  );

  step(
    'the app is killed while both work: what was said to be safe is, what was not is taken once',
    async () => {
      await iver.open(`/block/${SHARES.get('Bram Tolley')}`);
      const begun = await at();
      await take('Bram Tolley', await expected());
      await stands(sunna, 2.4);
      const killed = demo.kill();
      await sunna.keys(Key.ENTER);
      await iver.keys(SPACE);
      await killed;
      await sunna.sees('all saved');
      await iver.sees('all saved');
      expect(await at()).not.toBe(begun);
      await sunna.until('the second pack, once', async () => {
        const said = await sunna.text('p[data-kind]');
        if (/again/.test(said)) await sunna.keys(Key.ENTER);
        return (await packs('Bram Tolley')) === 2;
      });
      await demo.put(0);
    },
  );

  step(
    'the table opens without the network, weights are typed, and reach the house when it is back',
    async () => {
      await sunna.until('the page to be kept by the device', () =>
        sunna.driver
          .executeAsyncScript<boolean>(
            `const done = arguments[0];
         navigator.serviceWorker.ready.then(() => caches.open('fractum-floor')).then((cache) => cache.keys())
           .then((keys) => done(keys.some(({ url }) => url === location.href)));`,
          )
          .then(async (isKept) => isKept || (await sunna.driver.navigate().refresh(), false)),
      );
      const before = await packs('Bram Tolley');
      await sunna.network(false);
      await sunna.driver.navigate().refresh();
      await sunna.sees('From the block');
      const weight = (await expected()).toFixed(2);
      await sunna.keys('y');
      await sunna.type('[role="dialog"] input', weight);
      await sunna.keys(Key.ENTER);
      await sunna.sees(/1 kept here, network away/);
      await sunna.driver.navigate().refresh();
      await sunna.sees(/1 kept here/);
      await sunna.network(true);
      await sunna.sees('all saved');
      await sunna.until('the typed pack', async () => (await packs('Bram Tolley')) === before + 1);
      const { weighings } = await viewOf(sunna, 'Bram Tolley');
      expect(weighings.at(-1)!.origin).toBe('typed');
    },
  );

  step('a hog is wrapped at two tables, that see each other’s packs within a moment', async () => {
    await iver.open(`/block/${SHARES.get('Cato Ness')}`);
    await iver.keys(Key.ENTER);
    await iver.find('nav[aria-label="Steps of the break"]');
    await sunna.open(`/wrap/${SHARES.get('Cato Ness')}`);
    await iver.open(`/wrap/${SHARES.get('Cato Ness')}`);
    await iver.sees('From the block');
    await sunna.sees('From the block');
    await take('Cato Ness', await expected());
    await iver.until('the pack at the other table', async () =>
      /\d\.\d\d/.test(await iver.text('ol[aria-label="Last weighings"]')),
    );
  });

  step('a telephone reads the label of a pack with its camera, and opens what it is of', async () => {
    const { weighings } = await viewOf(sunna, 'Dagny Orr');
    const pack = weighings.find(({ kind }) => kind === 'package');
    const film = join(demo.data, 'label.y4m');
    await filmOf(await sunna.saved(`/api/label/${pack!.id}`), film);
    const phone = await Person.arriveWithCamera(demo.address, film);
    await phone.signIn('Sunna');
    await phone.open('/wrap');
    await phone.click('Scan by camera');
    await phone.sees('Dagny Orr, whole', 'h1');
    await phone.sees('From the block');
    await phone.leave();
  });

  step('the printer runs out: packs are taken all the same, and their labels wait', async () => {
    await demo.post('/printer/roll', { left: 0 });
    await take('Cato Ness', await expected());
    await sunna.sees('out of labels');
    await demo.post('/printer/roll', { left: 500 });
    await sunna.until('the printer to go on', async () => !(await sunna.text()).includes('out of labels'));
  });

  step('a quarter of two households is cut as one, and each is told of both', async () => {
    await iver.open(`/block/${SHARES.get('Egil Pask')}`);
    await iver.sees('Take to the block');
    await iver.keys(Key.ENTER);
    await iver.find('nav[aria-label="Steps of the break"]');
    await sunna.open(`/wrap/${SHARES.get('Frida Quill')}`);
    await sunna.sees('From the block');
    await take('Egil Pask', await expected());
    const [pack] = (await viewOf(sunna, 'Frida Quill')).weighings;
    const label = await sunna.act<Label>('labelView', { weighingId: pack!.id, copy: 1 });
    expect(label.lines.join(' ')).toContain('Owner: Egil Pask, Frida Quill');
  });

  step('and the book of the day proves itself', async () => {
    for (const who of SHARES.keys()) {
      const { cold, onBlock, weighings } = await viewOf(maren, who);
      const off = weighings
        .filter(({ kind, source }) => (kind === 'package' ? source === 'share' : source !== 'tub'))
        .reduce((sum, { net }) => sum + net, 0);
      expect(cold - off).toBe(onBlock);
    }
  });
});
