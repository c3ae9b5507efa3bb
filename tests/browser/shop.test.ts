import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { speciesIn } from '@/core/catalogue/catalogue';
import { writeAtlas } from '@/core/formats/atlasCsv';
import { writeSpeciesFile } from '@/core/setUp/speciesFile';
import type { Atom } from '@/core/species/types';
import { readCatalogue } from '@/data/catalogue';
import { Person } from './browser';
import { RunningDemo } from './runningDemo';

jest.setTimeout(180_000);

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

let demo: RunningDemo;
let maren: Person;

beforeAll(async () => {
  demo = await RunningDemo.start('lb');
  maren = await Person.arrive(demo.address);
  await maren.open('/sign-in');
  await maren.signIn('Maren');
});
afterAll(async () => {
  await maren?.leave();
  await demo?.stop();
});

const CUT = 'input[aria-label="Rate of Cut and wrap"]';

describe('the owner and the prices', () => {
  it('takes another list in hand, in words of her own', async () => {
    await maren.click('The shop', 'a');
    await maren.sees('Autumn prices against spring prices');
    await maren.sees(/\d+ shares booked; in force/);
    await maren.click('Another list from this one');
    await maren.type('#name', 'Winter prices');
    await maren.type('#effectiveFrom', '2020-01-04');
    await maren.click('Take it in hand');
    await maren.sees('2020-01-04 is past');
    await maren.type('#effectiveFrom', '2099-01-04');
    await maren.click('Take it in hand');
    await maren.sees('Winter prices against autumn prices');
    await maren.sees('in your hands; nobody booked');
  });

  it('sees the bill move as she types, keeps it by Enter, and takes it back', async () => {
    const owes = async () =>
      /The household owes.*?([\d.]+)\s+([\d.]+)/s.exec(await maren.text())!.slice(1, 3);
    const [before] = await owes();
    await maren.type(CUT, '2.50');
    await maren.until('the bill to move', async () => (await owes())[1] !== before);
    await maren.keys(Key.ESCAPE);
    await maren.until('the old bill', async () => (await owes())[1] === before);
    await maren.type(CUT, '1.0x');
    await maren.sees('“1.0x” is no rate');
    await maren.type(CUT, '1.04');
    await maren.keys(Key.ENTER);
    await maren.sees('Cut and wrap 0.98 to 1.04');
    await maren.click('back');
    await maren.sees('taken back');
  });

  it('adds a charge of the farm, and refuses one that is none', async () => {
    await maren.click('add a charge');
    await maren.type('#rate', 'five');
    await maren.click('Keep it');
    await maren.sees('“five” is no rate');
    await maren.type('#label', 'Boxes');
    await maren.type('#rate', '5.00');
    await maren.type('#tiers', 'above 250');
    await maren.click('Keep it');
    await maren.sees('is no tier');
    await maren.type('#tiers', 'above 250: 6.00');
    await maren.click('Keep it');
    await maren.sees('new: Boxes, 5.00 by packed weight');
  });

  it('works for a hand that cannot point and on a narrow window', async () => {
    await maren.driver.executeScript(AXE);
    const found = await maren.driver.executeAsyncScript<{ id: string; nodes: { target: string[] }[] }[]>(
      `const done = arguments[arguments.length - 1];
       axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa'] }).then((result) => done(result.violations));`,
    );
    expect(found.flatMap(({ id, nodes }) => nodes.map((node) => `${id}: ${node.target.join(' ')}`))).toEqual(
      [],
    );
    await maren.resize({ width: 1024, height: 768 });
    const wide = await maren.driver.executeScript(
      'const main = document.querySelector("main"); return main.scrollWidth > main.clientWidth + 1;',
    );
    expect(wide).toBe(false);
    await maren.resize({ width: 1280, height: 800 });
  });

  it('keeps what is typed while the network is away', async () => {
    await maren.network(false);
    await maren.type(CUT, '1.11');
    await maren.keys(Key.ENTER);
    await maren.sees(/network|answer|reach/i);
    expect(await (await maren.find(CUT)).getAttribute('value')).toBe('1.11');
    await maren.network(true);
    await maren.keys(Key.ESCAPE);
  });

  it('puts it in force from its day, and then it stands', async () => {
    await maren.click('In force from 2099-01-04');
    await maren.sees('0 shares booked; coming');
    await maren.sees('Another list from this one');
  });
});

describe('the owner and a species of her own', () => {
  const drop = async (name: string, text: string) => {
    const path = join(demo.data, name);
    writeFileSync(path, text);
    await (await maren.find('.ant-upload input[type="file"]')).sendKeys(path);
  };

  it('saves one that is near it, changes it, is told what is wrong, and takes it', async () => {
    await maren.open('/shop/catalogue');
    await maren.click('Files');
    const lamb = writeSpeciesFile(speciesIn(readCatalogue(), 'lamb'));
    expect(lamb).toContain((await maren.fetched('/api/species/lamb?as=json')).start);
    const deer = lamb.replace('"id": "lamb"', '"id": "deer"').replace('"name": "Lamb"', '"name": "Deer"');
    await drop('deer.json', deer.replace('"sideWord"', '"sidewards"'));
    await maren.sees('Side word is missing');
    await drop('deer.json', deer);
    await maren.sees('The house sheet gives of a side of 30 lb');
    await maren.click('Take it');
    await maren.sees('a new species: deer');
    await maren.open('/blank/deer');
    await maren.sees('Neck slices');
  });

  it('gives the pieces of a species other shares, beside what they were', async () => {
    await maren.open('/shop/catalogue');
    await maren.click('Files');
    const { atoms } = speciesIn(readCatalogue(), 'hog').atlas;
    const heavier = (by: number) => (atom: Atom) =>
      atom.id === 'ham-knuckle'
        ? { ...atom, sharePct: atom.sharePct + 0.5 }
        : atom.id === 'ham-inside'
          ? { ...atom, sharePct: atom.sharePct - by }
          : atom;
    await drop('pieces.csv', writeAtlas(atoms.map(heavier(0))));
    await maren.sees('shares add up to 100.5 %');
    await drop('pieces.csv', writeAtlas(atoms.map(heavier(0.5))));
    await maren.sees('The house sheet gives otherwise of a side of 91 lb');
    await maren.click('Take it');
    await maren.sees('hog: pieces by a table of the shop’s own');
    await maren.click('back');
    await maren.until('the step to be taken back', async () => /taken back/.test(await maren.text()));
  });
});

describe('the owner and the people', () => {
  it('takes somebody on, who signs in; lets them rest, who does not', async () => {
    await maren.click('People', 'a');
    await maren.sees('Take somebody on');
    await maren.click('Take somebody on');
    await maren.type('#name', 'Tove');
    await maren.type('#secret', 'fish-on-friday');
    await maren.click('Take them on');
    await maren.sees('There is a Tove already');
    await maren.type('#name', 'Hedda');
    await maren.click('Take them on');
    await maren.sees('Hedda');
    const enter = (name: string) =>
      fetch(`${demo.address}/api/sign-in`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ name, secret: 'fish-on-friday' }),
      });
    expect((await enter('Hedda')).status).toBe(200);
    const row = "//tr[contains(., 'Hedda')]//button[contains(., 'Rests')]";
    await maren.driver.findElement(By.xpath(row)).click();
    await maren.sees('Is back');
    expect((await enter('Hedda')).status).toBe(401);
  });
});

describe('a call by keyboard', () => {
  it('books a hog in two halves, each as last time, in fewer than sixty keys', async () => {
    await maren.open('/book');
    await maren.find('#order-file');
    await maren.until('the hand on the farm', () =>
      maren.driver.executeScript<boolean>(`return document.activeElement?.id === 'farm_name'`),
    );
    let pressed = 0;
    const press = async (...keys: string[]) => {
      pressed += keys.reduce((sum, key) => sum + [...key].length, 0);
      await maren.keys(...keys);
    };
    /** Letters, then the one whom the shop knows. */
    const take = async (letters: string, name: string) => {
      await press(letters);
      await maren.sees(name, '[role="listbox"]');
      await press(Key.ENTER);
    };
    await take('low', 'Low Tarn');
    await press(Key.ENTER, Key.ENTER, 'H777', Key.ENTER);
    await take('hesp', 'Hesper Lund');
    await press(Key.ENTER, '50', Key.ENTER);
    await take('mari', 'Marit');
    await press(Key.ENTER, '50');
    await maren.sees(/as last time/);
    await maren.sees(/today’s prices|the same money today/);
    pressed += 2;
    await maren.chord(Key.CONTROL, Key.ENTER);
    await maren.sees('H777 is booked');
    expect(pressed).toBeLessThan(60);
  });

  it('confirms it to whoever is called about it, by a paper too', async () => {
    await maren.open('/messages');
    await maren.sees('Hesper Lund, text to');
    const href = await (await maren.find('a[href^="/api/confirmation/"]')).getAttribute('href');
    const paper = await maren.fetched(new URL(href!).pathname);
    expect(paper).toMatchObject({ status: 200, type: 'application/pdf' });
  });

  it('the blank sheet is anybody’s, as a page and as a paper', async () => {
    const nobody = await Person.arrive(demo.address);
    await nobody.open('/blank/beef');
    await nobody.sees('how do you want your beef cut?');
    await nobody.sees('ours where you say nothing');
    const paper = await nobody.fetched('/api/blank/beef');
    expect(paper).toMatchObject({ status: 200, type: 'application/pdf' });
    expect(await nobody.fetched('/api/confirmation/00000000-0000-4000-8000-000000000000')).toMatchObject({
      status: 401,
    });
    await nobody.leave();
  });

  it('many come in a table, whose wrong cells are marked before anything is booked', async () => {
    await maren.open('/book');
    const table = readFileSync('examples/bookings.csv', 'utf8');
    const wrong = join(demo.data, 'wrong.csv');
    writeFileSync(
      wrong,
      table.replace('2026-12-07,left,50,Tobit', 'soon,left,50,Tobit').replaceAll('hog', 'unicorn'),
    );
    // Before the page listens a file is lost: chosen again until it is read, which changes nothing.
    const choose = (path: string, words: string) =>
      maren.until(`${words} of ${path}`, async () => {
        await (await maren.find('#order-file input[type="file"]')).sendKeys(path);
        return (await maren.text()).includes(words);
      });
    await choose(wrong, 'B061 was "2026-12-07" before');
    const right = join(demo.data, 'right.csv');
    writeFileSync(right, table);
    await choose(right, '2 animals, 6 rows');
    await maren.click('Book them all');
    await maren.sees('B061, H141 are booked.');
  });
});
