import { readFileSync } from 'node:fs';
import { Key } from 'selenium-webdriver';
import { Person } from './browser';
import { RunningDemo } from './runningDemo';

jest.setTimeout(180_000);

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

let demo: RunningDemo;
let iver: Person;
let sunna: Person;

beforeAll(async () => {
  demo = await RunningDemo.start('lb');
  iver = await Person.arrive(demo.address, { width: 1920, height: 1080 });
  sunna = await Person.arrive(demo.address, { width: 1920, height: 1080 });
});
afterAll(async () => {
  await iver?.leave();
  await sunna?.leave();
  await demo?.stop();
});

const SPACE = ' ';
const step = () => iver.text('section[aria-label] h2');
const at = () => iver.text('nav[aria-label="Steps of the break"] [aria-current="step"]');

/** Goes on to the step of this name by the one key, however many steps are before it. */
async function goTo(title: string): Promise<void> {
  for (let pressed = 0; pressed < 40 && (await step()) !== title; pressed += 1) {
    const before = await at();
    await iver.keys(SPACE);
    await iver.until('the next step', async () => (await at()) !== before);
  }
  expect(await step()).toBe(title);
}

describe('the rails', () => {
  it('show what hangs where; a side is moved, covered and held by keys and a press, and what cannot be is refused', async () => {
    await iver.signIn('Iver');
    await iver.open('/hang');
    await iver.sees('Due first');
    await iver.sees('0 of 24 ft in use');
    await iver.keys('m');
    await iver.clickOn('[aria-label="South rail, foot 12"]');
    await iver.sees('1.3 of 24 ft in use');
    await iver.keys('n');
    await iver.keys('m');
    await iver.clickOn('[aria-label="South rail, foot 12"]');
    await iver.sees('There hangs');
    await iver.keys('c');
    await iver.sees('Bare it');
    await iver.keys('h');
    await iver.type('#reason', 'waits for the inspector');
    await iver.click('Hold it');
    await iver.sees('held: waits for the inspector');
  });

  it('a tap on the side says where something was found, and the side carries it', async () => {
    await iver.keys('f');
    await iver.sees('what was found?');
    await iver.clickOn('.ant-modal svg [aria-label^="ham"]');
    await iver.type('#weight', '1.4');
    await iver.click('Note it');
    await iver.sees('bruise, ham, 1.4 lb');
  });
});

describe('the block, by keys alone', () => {
  it('is where the cutter finds what is ready, and takes a beef half to it', async () => {
    await iver.keys('g');
    await iver.keys('k');
    await iver.sees('The block', 'h1');
    await iver.click('Bramwell Coy', 'a');
    await iver.click('Take to the block');
    await iver.sees('Read the sheet, check the tag');
  });

  it('says what is wanted above and below a cut, for both households, and what is left standing', async () => {
    await goTo('Part the chuck from the rib');
    await iver.sees('Between ribs 5 and 6.');
    await iver.sees(/6\s+rib 6 and up stay/);
    await iver.sees('Ysolde Marrack, right half');
    await iver.driver.executeScript(AXE);
    const troubles = await iver.driver.executeAsyncScript<string[]>(
      `const done = arguments[arguments.length - 1];
       axe.run(document, { resultTypes: ['violations'] }).then(({ violations }) =>
         done(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id }) => id)));`,
    );
    expect(troubles).toEqual([]);
  });

  it('weighs a piece at the same key, refuses more than there is, and asks twice at what is odd', async () => {
    await goTo('Part the rib from the plate');
    await demo.put(900, '/rail');
    await iver.sees('Weigh rib');
    await iver.keys(SPACE);
    await iver.sees(/900\.0 is more than the 366\.2 lb left/);
    await demo.put(55, '/rail');
    await iver.until('the rib to weigh 55', async () =>
      /55\.0/.test(await iver.text('[aria-label="Pieces weighed"]')),
    );
    await iver.sees('Weigh rib');
    await iver.keys(SPACE);
    await iver.sees(/55\.0 lb for the rib, where .* is expected/);
    await demo.put(32.4, '/rail');
    await iver.until('a steady 32.4', async () =>
      /32\.4/.test(await iver.text('[aria-label="Pieces weighed"]')),
    );
    await iver.sees('Weigh rib');
    await iver.keys(SPACE);
    await iver.sees('333.8 of 366.2 lb left');
    await demo.put(0, '/rail');
  });

  it('takes a weight that is typed by hand, and marks it', async () => {
    await iver.keys('y');
    await iver.type('[role="dialog"] input', '30.2');
    await iver.keys(Key.ENTER);
    await iver.sees('303.6 of 366.2 lb left');
    await iver.sees('plate, typed');
  });

  it('goes back, and the step is not done after all', async () => {
    const before = await at();
    await iver.keys(Key.BACK_SPACE);
    await iver.until('the step before', async () => (await at()) !== before);
  });

  it('does otherwise in two taps and a row, and the wrap table knows within a moment', async () => {
    await sunna.signIn('Sunna');
    await sunna.open(new URL(await iver.driver.getCurrentUrl()).pathname.replace('/block/', '/wrap/'));
    await sunna.sees('Brisket, whole');
    await goTo('Lift the brisket');
    await iver.sees('Do not part point and flat');
    await iver.keys('d');
    await iver.click('too large');
    await iver.click('Brisket');
    await iver.click('Flat and point apart');
    await iver.sees('The rest is forecast anew.');
    await sunna.sees('Brisket flat');
    await sunna.until(
      'the whole brisket to be gone',
      async () => !(await sunna.text()).includes('Brisket, whole'),
    );
    await iver.keys('b');
    await iver.sees(/Brisket, whole.*: .*, too large\. Iver/i, '[role="dialog"]');
    await iver.keys(Key.ESCAPE);
  });

  it('stays where it was: front done, hind not, for whoever opens it', async () => {
    const here = await step();
    await iver.driver.navigate().refresh();
    await iver.until('the same step', async () => (await step()) === here);
  });

  it('goes on without the network: steps are kept, outlive the page, and reach the house when it is back', async () => {
    const before = Number(await at());
    await iver.network(false);
    await iver.keys(SPACE);
    await iver.keys(SPACE);
    await iver.sees('2 not sent, safe here');
    expect(Number(await at())).toBe(before + 2);
    await iver.network(true);
    await iver.sees('all saved');
    await iver.driver.navigate().refresh();
    await iver.until('the step where it was', async () => Number(await at()) === before + 2);
  });

  it('is stopped once by words for the cutter', async () => {
    await iver.open('/block');
    await iver.click('Jory Penhale', 'a');
    await iver.sees('Read first');
    await iver.keys(SPACE);
    await iver.sees(/read, Iver \d+:\d\d/);
    await iver.sees('Read the side and both tags');
  });
});
