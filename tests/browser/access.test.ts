import { readFileSync } from 'node:fs';
import { Key } from 'selenium-webdriver';
import { Person } from './browser';
import { RunningDemo } from './runningDemo';

jest.setTimeout(180_000);

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

let demo: RunningDemo;
let tove: Person;

beforeAll(async () => {
  demo = await RunningDemo.start('kg');
  tove = await Person.arrive(demo.address);
});
afterAll(async () => {
  await tove?.leave();
  await demo?.stop();
});

type Violation = { id: string; nodes: { target: string[]; failureSummary: string }[] };

/** What stands between this page and a person who cannot see or point well. */
async function violations(): Promise<string[]> {
  // A page's name comes in after the page.
  await tove.until('the name of the page', async () => (await tove.driver.getTitle()) !== '');
  await tove.driver.executeScript(AXE);
  const found = await tove.driver.executeAsyncScript<Violation[]>(
    `const done = arguments[arguments.length - 1];
     axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa'] }).then((result) => done(result.violations));`,
  );
  return found.flatMap(({ id, nodes }) =>
    nodes.map((node) => `${id}: ${node.target.join(' ')}: ${node.failureSummary}`),
  );
}

/** Whether the page is wider than the window. */
function overflows(): Promise<boolean> {
  return tove.driver.executeScript(
    `const main = document.querySelector('main');
     const wide = (box, room) => box.scrollWidth > room + 1;
     return wide(document.documentElement, window.innerWidth) || (main !== null && wide(main, main.clientWidth));`,
  );
}

const PAGES = [
  '/today',
  '/week',
  '/calls',
  '/book',
  '/hang',
  '/sheet',
  '/wrap',
  '/reconcile',
  '/settle',
  '/yields',
  '/yields/learnt?species=hog',
  '/yields/report',
  '/trace?words=H112',
  '/kit',
];

describe('every screen can be used by everybody', () => {
  it('sign-in', async () => {
    await tove.open('/sign-in');
    await tove.sees('The demo shop');
    expect(await violations()).toEqual([]);
    await tove.signIn('Tove');
  });

  it.each(PAGES)('%s', async (page) => {
    await tove.open(page);
    await tove.find('main h1');
    expect(await violations()).toEqual([]);
  });

  it.each([
    ['/sheet', 'Ivo Garth', 'take-home'],
    ['/reconcile', 'Hesper Lund', 'unaccounted'],
    ['/settle', 'Corwin Aske', 'to pay'],
    ['/wrap', 'Jory Penhale', 'From the block'],
    ['/wrap', 'Anneke Storr', 'Take to the block'],
  ])('%s of %s', async (page, name, words) => {
    await tove.open(page);
    await tove.click(name, 'a');
    await tove.sees(words);
    expect(await violations()).toEqual([]);
  });
});

/** The ticket of a share, by the key that leads to it. */
async function openTicket(): Promise<void> {
  await tove.open('/reconcile');
  await tove.click('Marit Fallow', 'a');
  await tove.sees('Asked against packed');
  await tove.driver.executeScript('document.activeElement.blur()');
  await tove.keys('.');
  await tove.sees('The balance', 'article');
}

it('the ticket can be used by everybody, and fits a small phone', async () => {
  await openTicket();
  expect(await violations()).toEqual([]);
  await tove.resize({ width: 390, height: 844 });
  expect(await overflows()).toBe(false);
  await tove.resize({ width: 1280, height: 800 });
});

describe('on a small phone', () => {
  beforeAll(() => tove.resize({ width: 390, height: 844 }));
  afterAll(() => tove.resize({ width: 1280, height: 800 }));

  it.each(PAGES)('%s fits', async (page) => {
    await tove.open(page);
    await tove.find('main h1');
    expect(await overflows()).toBe(false);
  });

  it.each([
    ['/sheet', 'Ivo Garth', 'take-home'],
    ['/reconcile', 'Hesper Lund', 'unaccounted'],
    ['/settle', 'Corwin Aske', 'to pay'],
    ['/wrap', 'Jory Penhale', 'From the block'],
  ])('%s of %s fits', async (page, name, words) => {
    await tove.open(page);
    await tove.click(name, 'a');
    await tove.sees(words);
    expect(await overflows()).toBe(false);
  });
});

describe('the demo in kilograms', () => {
  it('says kilograms on every screen', async () => {
    await tove.open('/sheet');
    await tove.click('Ivo Garth', 'a');
    await tove.sees(/\d\.\d\d\d kg expected cold/, 'footer');
    await tove.open('/wrap');
    await tove.click('Jory Penhale', 'a');
    await demo.put(1.2);
    await tove.sees(/1\.200\s*kg/, 'section[aria-label="Scale"]');
    await demo.put(0);
  });
});

describe('who may not', () => {
  it('is led to their own work, and sees no other', async () => {
    const sunna = await Person.arrive(demo.address);
    await sunna.signIn('Sunna');
    for (const path of ['/book', '/sheet/00000000-0000-4000-8000-000000000000', '/hang', '/settle']) {
      await sunna.open(path);
      await sunna.find('nav[aria-label="Rail"]');
    }
    expect(await sunna.text('nav[aria-label="Rail"]')).not.toMatch(/Book|Settle|Sheet/);
    await sunna.leave();
  });

  it('rests after five wrong secrets', async () => {
    const guesser = await Person.arrive(demo.address);
    await guesser.open('/sign-in');
    await guesser.type('#name', 'Aslak');
    for (let tries = 0; tries < 6; tries += 1) {
      await guesser.type('#secret', `guess ${tries}`);
      await guesser.clickOn('button[type="submit"]');
      await guesser.find('button[type="submit"]:not(.ant-btn-loading)');
    }
    await guesser.sees('Too many wrong tries', '[role="alert"]');
    await guesser.leave();
  });

  it('does not begin anew by saying that they come from elsewhere', async () => {
    const statuses: number[] = [];
    for (let tries = 0; tries < 6; tries += 1) {
      const response = await fetch(`${demo.address}/api/sign-in`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-forwarded-for': `203.0.113.${tries}` },
        body: JSON.stringify({ name: 'Nobody here', secret: `guess ${tries}` }),
      });
      statuses.push(response.status);
    }
    expect(statuses).toEqual([401, 401, 401, 401, 401, 429]);
  });

  it('gets security headers with every page, and nothing without a session', async () => {
    const response = await fetch(`${demo.address}/sign-in`);
    expect(response.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(response.headers.get('x-content-type-options')).toBe('nosniff');
    const refused = await fetch(`${demo.address}/api/act/railView`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{}',
    });
    expect([refused.status, (await refused.json()).reason]).toEqual([401, 'not-signed-in']);
    const foreign = await fetch(`${demo.address}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: 'http://elsewhere.example' },
      body: '{}',
    });
    expect(foreign.status).toBe(403);
    const forged = await fetch(`${demo.address}/api/sign-out`, {
      method: 'POST',
      headers: { 'sec-fetch-site': 'cross-site' },
    });
    expect(forged.status).toBe(403);
    const unreadable = await fetch(`${demo.address}/api/label/%ff`);
    expect([unreadable.status, (await unreadable.json()).message]).toEqual([
      400,
      'The address cannot be read.',
    ]);
    for (const path of ['/sign-in', '/_next/static/none.js']) {
      const { headers } = await fetch(`${demo.address}${path}`);
      expect(headers.get('x-content-type-options')).toBe('nosniff');
      expect(headers.get('cross-origin-resource-policy')).toBe('same-origin');
    }
    expect(await (await fetch(`${demo.address}/api/health`)).json()).toMatchObject({
      ok: true,
      problems: [],
    });
  });
});

describe('the desk by keyboard', () => {
  const path = async () => new URL(await tove.driver.getCurrentUrl()).pathname;

  it('two keys go to a stage of the rail', async () => {
    await tove.open('/book');
    await tove.find('main h1');
    // The hand is on the first field there, and the keys of the desk rest while it is; before the page listens they do too.
    await tove.until('the rail', async () => {
      await tove.driver.executeScript('document.activeElement.blur()');
      await tove.keys('g', 'h');
      return (await path()) === '/hang';
    });
  });

  it('one key finds any order by a part of its name', async () => {
    await tove.chord(Key.CONTROL, 'k');
    await tove.type('.ant-modal input', 'garth');
    await tove.sees('Ivo Garth, right half', '[role="listbox"]');
    await tove.keys(Key.ENTER);
    await tove.until('the sheet', async () => (await path()).startsWith('/sheet/'));
    await tove.sees('Ivo Garth, right half', 'h1');
  });

  it('and does not jump to what was found for other words, however fast Enter follows', async () => {
    await tove.chord(Key.CONTROL, 'k');
    await tove.type('.ant-modal input', 'garth');
    await tove.sees('Ivo Garth', '[role="listbox"]');
    await tove.chord(Key.CONTROL, 'a');
    await tove.keys('reddle', Key.ENTER);
    await tove.sees('Tamsin Reddle, left half', 'h1');
  });

  it('nor says that an order is unknown while the network is away', async () => {
    await tove.chord(Key.CONTROL, 'k');
    await tove.find('.ant-modal input');
    await tove.network(false);
    await tove.keys('coy');
    await tove.sees('The network is away', '[role="listbox"]');
    await tove.network(true);
    await tove.keys(Key.ESCAPE);
    await tove.until('the palette gone', async () => (await tove.all('.ant-modal')).length === 0);
  });

  it('digits answer the open zone, arrows open the next', async () => {
    const title = () => tove.text('section[aria-label^="Decisions"] h2');
    const before = await title();
    await tove.keys(Key.ARROW_DOWN);
    await tove.until('another zone', async () => (await title()) !== before);
    await tove.openZone('Ham');
    await tove.keys('1');
    await tove.sees('Ham, whole', 'aside:last-of-type table');
  });

  it('? lists the keys', async () => {
    await tove.keys('?');
    await tove.sees('the next open question', '.ant-modal');
    await tove.keys(Key.ESCAPE);
  });
});

describe('two windows', () => {
  it('a sheet changed in the other window is not overwritten: rows of both are taken in', async () => {
    const other = await Person.arrive(demo.address);
    await other.signIn('Maren');
    for (const person of [tove, other]) {
      await person.open('/sheet');
      await person.click('Perran Vane', 'a');
      await person.sees('take-home');
    }
    await tove.click('House standard');
    await tove.sees('all saved', 'header');
    await other.keys('1');
    await other.sees('complete', 'header');
    await other.sees('all saved', 'header');
    await other.leave();
  });
});
