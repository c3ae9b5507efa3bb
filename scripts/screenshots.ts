import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { Person } from '../tests/browser/browser';
import { RunningDemo } from '../tests/browser/runningDemo';

/** `npm run screenshots`: the pictures of docs/screenshots, taken anew from a fresh demo. */
const FOLDER = 'docs/screenshots';
const DESK = { width: 1280, height: 800 };
const TELEPHONE = { width: 390, height: 844 };
const FLOOR = { width: 1920, height: 1080 };

async function shoot(person: Person, name: string): Promise<void> {
  await person.until('fonts', () => person.driver.executeScript('return document.fonts.status === "loaded"'));
  writeFileSync(join(FOLDER, `${name}.png`), await person.picture());
}

async function openShare(person: Person, stage: string, name: string, words: string): Promise<void> {
  await person.open(`/${stage}`);
  await person.click(name, 'a');
  await person.sees(words);
}

async function desk(person: Person): Promise<void> {
  await person.open('/sign-in');
  await person.sees('The demo shop');
  await person.signIn('Tove');
  await person.find('[data-in-hand]');
  await shoot(person, 'today');
  await person.open('/book');
  await person.sees('Booked, not on the rail yet');
  await person.find('#animal_tag');
  await shoot(person, 'book');
  await person.open('/hang');
  await person.sees('On the rail');
  await shoot(person, 'hang');
  await openShare(person, 'sheet', 'Ivo Garth', 'one of them');
  await shoot(person, 'sheet');
  await wishes(person);
  await person.open('/week');
  await person.sees('Proven: no week is better');
  await shoot(person, 'week');
  await person.open(`/farm/${await farmNamed(person, 'Brackenhow')}`);
  await person.sees('comes home');
  await shoot(person, 'farm');
  await openShare(person, 'reconcile', 'Marit Fallow', 'Asked against packed');
  await shoot(person, 'reconcile');
  await person.driver.executeScript('document.activeElement.blur()');
  await person.keys('.');
  await person.find('article');
  await shoot(person, 'ticket');
  await person.open('/yields?species=hog');
  await person.find('main canvas');
  await person.sees('Of 100 lb hanging hot');
  await shoot(person, 'yields');
  await openShare(person, 'settle', 'Corwin Aske', 'to pay');
  await person.findWords('Picked up', 'button');
  await shoot(person, 'settle');
}

function farmNamed(person: Person, words: string): Promise<string> {
  return person.driver.executeAsyncScript(
    `const [words, done] = arguments;
     fetch('/api/act/householdsView', {
       method: 'POST',
       headers: { 'content-type': 'application/json' },
       body: JSON.stringify({ words }),
     }).then((response) => response.json()).then(({ value }) => done(value[0].id));`,
    words,
  );
}

/** Proposals for wishes, beside a half beef as it stands. */
async function wishes(person: Person): Promise<void> {
  await person.open('/wrap');
  const link = await person.findWords('Bramwell Coy', 'a');
  await person.open(new URL((await link.getAttribute('href'))!).pathname.replace('/wrap/', '/sheet/'));
  await person.sees('take-home');
  await person.click('Wishes');
  await person.sees('Wishes for');
  await person.keys('as much sausage as possible but keep the brisket', Key.ENTER);
  await person.sees('sheets tried');
  await shoot(person, 'wishes');
}

/** The paper of that half beef for the block, its hind quarter. */
async function blockPaper(person: Person, demo: RunningDemo): Promise<void> {
  await person.open('/wrap');
  const link = await person.findWords('Bramwell Coy', 'a');
  const path = new URL((await link.getAttribute('href'))!).pathname.replace('/wrap/', '/api/block/');
  const cookies = await person.driver.manage().getCookies();
  const cookie = cookies.map(({ name, value }) => `${name}=${value}`).join('; ');
  const response = await fetch(`${demo.address}${path}`, { headers: { cookie } });
  const pdf = join(demo.data, 'block.pdf');
  writeFileSync(pdf, new Uint8Array(await response.arrayBuffer()));
  const target = join(FOLDER, 'block-paper');
  const drawn = spawnSync('pdftoppm', ['-png', '-singlefile', '-f', '2', '-r', '80', pdf, target]);
  if (drawn.status !== 0)
    process.stderr.write('pdftoppm (poppler-utils) is missing: no picture of the paper.\n');
}

/** A household on its telephone, at one of its choices. */
async function household(person: Person, demo: RunningDemo): Promise<void> {
  await openShare(person, 'sheet', 'Perran Vane', 'take-home');
  await person.click('Their page');
  await person.click('Give them a link');
  const link = await person.find('.ant-modal a[href*="/mine/"]');
  const telephone = await Person.arrive(demo.address, TELEPHONE);
  await telephone.open(new URL((await link.getAttribute('href'))!).pathname);
  await telephone.click('Cut it the way you usually do');
  await telephone.sees('This comes home with you.');
  await telephone.click('The whole side');
  await telephone.clickOn('svg [aria-label^="center loin,"]');
  await telephone.sees('Center loin', 'h1');
  await shoot(telephone, 'household');
  await telephone.leave();
  await person.keys(Key.ESCAPE);
}

/** A list in hand with two rates changed, set against the one in force. */
async function prices(demo: RunningDemo): Promise<void> {
  const owner = await Person.arrive(demo.address, DESK);
  await owner.open('/sign-in');
  await owner.signIn('Maren');
  await owner.open('/shop/prices');
  await owner.click('Another list from this one');
  await owner.type('#name', 'Winter prices');
  await owner.type('#effectiveFrom', `${new Date().getFullYear() + 1}-01-04`);
  await owner.click('Take it in hand');
  for (const [charge, rate] of [
    ['Cut and wrap', '1.04'],
    ['Vacuum bags', '0.30'],
  ] as const) {
    await owner.type(`input[aria-label="Rate of ${charge}"]`, rate);
    await owner.keys(Key.ENTER);
    await owner.sees(`to ${rate}`);
  }
  await shoot(owner, 'prices');
  await owner.open('/smoke');
  await owner.sees('in it', 'section[aria-label^="Load S"]');
  await owner.find('section[aria-label^="Load S"] canvas');
  await shoot(owner, 'smoke');
  await owner.leave();
}

/** A half beef at the block, where the chuck is parted from the rib. */
async function block(demo: RunningDemo): Promise<void> {
  const person = await Person.arrive(demo.address, FLOOR);
  await person.signIn('Iver');
  await openShare(person, 'block', 'Bramwell Coy', 'Take to the block');
  await person.click('Take to the block');
  await person.sees('Read the sheet, check the tag');
  for (let step = 1; step < 7; step += 1) {
    await person.keys(' ');
    await person.sees(String(step + 1), '[aria-current="step"]');
  }
  await person.sees('Part the chuck from the rib');
  await shoot(person, 'block');
  await person.leave();
}

async function floor(demo: RunningDemo): Promise<void> {
  const person = await Person.arrive(demo.address, FLOOR);
  await person.signIn('Sunna');
  await openShare(person, 'wrap', 'Jory Penhale', 'From the block');
  await person.keys('0', '8');
  await demo.put(3.31);
  await person.find('b[data-state="steady"]');
  await shoot(person, 'wrap');
  await person.resize({ width: 800, height: 600 });
  const [label] = readdirSync(join(demo.data, 'labels')).sort();
  await person.open(`/api/label/${label!.slice(0, 36)}`);
  await shoot(person, 'label');
  await person.leave();
}

/** The grind room: a batch with its meat in, and the first of its seasoning on the scale. */
async function grind(demo: RunningDemo): Promise<void> {
  const person = await Person.arrive(demo.address, FLOOR);
  await person.signIn('Aslak');
  await person.open('/grind');
  await person.keys('o');
  await person.click('Edda Wrathall: Brown');
  await person.sees('Edda Wrathall', 'h1');
  await person.keys(' ');
  await person.sees('Weigh the meat in');
  const lies = async (said: string) => {
    await person.sees(said, 'section[aria-label="Scale"]');
    await person.sees('steady', 'section[aria-label="Scale"]');
  };
  await demo.put(17);
  await lies('17.00');
  await person.keys(' ');
  await person.sees('for 17.00 lb');
  for (const [key, grams] of [
    ['1', 386],
    ['2', 154.2],
    ['3', 131.1],
  ] as const) {
    await person.keys(key);
    await demo.put(grams, '/spice');
    await lies(grams.toFixed(1));
    await person.keys(' ');
    await person.sees(grams.toFixed(1), 'section[aria-label="Recipe"]');
  }
  await person.keys('5');
  await demo.put(19.2, '/spice');
  await lies('19.2');
  await shoot(person, 'grind');
  await person.leave();
}

mkdirSync(FOLDER, { recursive: true });
const demo = await RunningDemo.start();
try {
  const person = await Person.arrive(demo.address, DESK);
  await desk(person);
  await blockPaper(person, demo);
  await household(person, demo);
  await person.leave();
  await prices(demo);
  await floor(demo);
  await block(demo);
  await grind(demo);
} finally {
  await demo.stop();
}
