import { Key } from 'selenium-webdriver';
import { forecast } from '@/core/forecast/forecast';
import { readSheet } from '@/core/order/document';
import { readOrder, sheetOfPart, sidesOf, situationOf } from '@/core/order/readOrder';
import { inUnits } from '@/core/quantity/weight';
import type { Situation } from '@/core/sheet/situation';
import { caseShop } from '@/core/tests/caseOrder';
import { Person } from './browser';
import { RunningDemo } from './runningDemo';

jest.setTimeout(180_000);

let demo: RunningDemo;
let tove: Person;

beforeAll(async () => {
  demo = await RunningDemo.start();
  tove = await Person.arrive(demo.address);
  await tove.signIn('Tove');
});
afterAll(async () => {
  await tove?.leave();
  await demo?.stop();
});

async function openSheet(name: string): Promise<void> {
  await tove.open('/sheet');
  await tove.click(name, 'a');
  await tove.sees('take-home');
}

/** Answers the open zone by the card with these words. */
async function choose(zone: string, card: string): Promise<void> {
  await tove.openZone(zone);
  await tove.click(card);
}

/** What the foot of the open sheet says is what its saved file comes to by the figures that this shop has learnt. */
async function saysWhatItsFileSays(owner: string): Promise<void> {
  await tove.sees('all saved', 'header');
  const shareId = new URL(await tove.driver.getCurrentUrl()).pathname.replace('/sheet/', '');
  const read = readOrder(JSON.parse(await tove.saved(`/api/order/${shareId}`)), caseShop);
  if (!read.ok) throw new Error(read.message);
  const share = read.value.shares.find((each) => each.owner.name === owner)!;
  const { experience } = await tove.act<Pick<Situation, 'experience'>>('sheetView', { shareId });
  const situation = {
    ...situationOf(caseShop, read.value, share.part),
    ...(experience ? { experience } : {}),
  };
  const { sheet } = readSheet(sheetOfPart(read.value, share)!, situation, read.value.unit);
  const cold = sidesOf(caseShop, read.value, share.part).map(({ weight }) => weight);
  const { takeHome, freezerCuFt, lines } = forecast(situation, sheet, cold);
  const packs = lines.reduce((sum, line) => sum + line.packs, 0);
  const figures = [...(await tove.text('footer dl')).matchAll(/[\d.]+(?=\s*(?:lb|cu ft|packs))/g)].map(
    Number,
  );
  expect(figures).toEqual([Number(inUnits(takeHome).toFixed(1)), Number(freezerCuFt.toFixed(1)), packs]);
}

describe('a half beef', () => {
  it('cannot have T-bones and a whole tenderloin, and says what each way gives', async () => {
    await openSheet('Ysolde Marrack');
    await tove.openZone('Short loin');
    await tove.sees('On one side it is T-bones or a whole tenderloin');
    await tove.click('Keep short loin');
    await tove.sees('complete');
  });

  it('has the names of its short loin along the cut', async () => {
    await tove.sees(/\d bone-in strip, \d T-bone, \d porterhouse/);
  });

  it('gives back ribs when the rib is boned', async () => {
    await choose('Rib', 'Ribeye steaks, boneless');
    await choose('Back ribs', 'Back ribs kept');
    await tove.sees(/Back ribs\s+\d\.\d/);
    await tove.sees('complete');
  });
});

describe('an old cow', () => {
  it('is not offered what holds its backbone, with the reason', async () => {
    await openSheet('Threlkeld Kitchen');
    await tove.openZone('Short loin');
    await tove.sees('T-bones and porterhouses: the backbone of cattle of 30 months or more leaves as waste');
  });
});

describe('a lamb', () => {
  it('is called by the words of its school', async () => {
    await openSheet('Aldous Finch');
    await tove.sees('Best end of neck');
    await tove.sees('Chump chops');
  });

  it('in a half has no crown roast, with the reason', async () => {
    await tove.openZone('Rack');
    await tove.sees('Crown roast takes both sides of the animal, and this share is one side.');
  });
});

describe('booking an animal in', () => {
  it('asks what its species asks', async () => {
    await tove.open('/book');
    await tove.type('#animal_tag', 'H300');
    await tove.click('more of it');
    await tove.sees('stays on');
    await tove.clear('#animal_tag');
    await tove.type('#animal_tag', 'B300');
    await tove.sees('30 months or older, or age not known');
    expect(await tove.text('main')).not.toContain('Head (jowl off) stays on');
    await tove.click('Begin anew');
  });
});

describe('a whole sheet by keyboard alone, from empty', () => {
  it.each([
    ['Perran Vane', 'a hog', 90],
    ['Rowena Tarr', 'a lamb', 90],
  ])('of %s, %s, takes fewer than %d keys', async (name, _, most) => {
    await tove.open('/sheet');
    await tove.click(name, 'a');
    await tove.sees('questions', 'header');
    await tove.driver.executeScript('document.activeElement.blur()');
    let pressed = 0;
    const press = async (key: string) => {
      await tove.keys(key);
      pressed += 1;
    };
    const open = async () => Number(/(\d+) question/.exec(await tove.text('header'))?.[1] ?? 0);
    // The open row is answered, and Enter goes on to the next that is not.
    for (let left = await open(); left > 0; left = await open()) {
      await press('h');
      await tove.until('the row to be answered', async () => (await open()) < left);
      await press(Key.ENTER);
      expect(pressed).toBeLessThan(most);
    }
    await tove.sees('complete', 'header');
    await tove.sees('all saved', 'header');
    process.stderr.write(`${name}: ${pressed} keys\n`);
    await saysWhatItsFileSays(name);
  });
});

describe('a half beef that nobody has answered', () => {
  const empty = async (tag: string): Promise<string> => {
    const [shareId] = await tove
      .act<{ shareIds: string[] }>('bookAnimals', {
        documents: [
          {
            format: 'fractum.order',
            version: 1,
            unit: 'lb',
            farm: { name: 'Oxter Hill' },
            animal: { tag, species: 'beef', killDate: '2026-11-20', inspection: 'custom-exempt' },
            shares: [{ part: 'left', owner: { name: 'Merrin Oake' } }],
          },
        ],
      })
      .then(({ shareIds }) => shareIds);
    await tove.open(`/sheet/${shareId}`);
    await tove.sees('questions', 'header');
    await tove.driver.executeScript('document.activeElement.blur()');
    return shareId!;
  };

  it('is typed in from its paper: a digit a row, in printed order', async () => {
    await empty('B301');
    await tove.keys('q');
    let pressed = 1;
    for (let row = 1; (await tove.text('aside')).includes('From paper'); row += 1) {
      await tove.keys('1');
      pressed += 1;
      await tove.until('the next row', async () => {
        const said = await tove.text('aside');
        return !said.includes('From paper') || !said.includes(`row ${row} of`);
      });
    }
    const open = Number(/(\d+) question/.exec(await tove.text('header'))?.[1] ?? 0);
    expect(await tove.text('header')).not.toContain('no sheet');
    // Two ways for one piece may clash; nothing is left without an answer.
    expect(await tove.text('header')).not.toMatch(/is not answered/);
    expect(open).toBeLessThan(8);
    expect(pressed).toBeLessThan(40);
    await tove.sees('all saved', 'header');
    process.stderr.write(`half beef from its paper: ${pressed} keys, ${open} to ask\n`);
  });

  it('is the house standard with five changes in few keys', async () => {
    await empty('B302');
    let pressed = 0;
    const press = async (...keys: string[]) => {
      await tove.keys(...keys);
      pressed += keys.length;
    };
    await tove.chord(Key.SHIFT, 'h');
    pressed += 2;
    await tove.sees('complete', 'header');
    await saysWhatItsFileSays('Merrin Oake');
    for (const downs of [2, 6, 3, 4, 2]) {
      for (let down = 0; down < downs; down += 1) await press(Key.ARROW_DOWN);
      await press('2');
    }
    await tove.sees('all saved', 'header');
    await tove.chord(Key.CONTROL, Key.ENTER);
    pressed += 2;
    await tove.sees(/Approve/, '.ant-modal');
    expect(pressed).toBeLessThan(40);
    process.stderr.write(`half beef from the house standard with five changes: ${pressed} keys\n`);
  });
});

describe('the half as it hangs', () => {
  const xOf = async (css: string) => (await (await tove.find(css)).getRect()).x;

  it('a right one has its belly at the left, and a warning has its ways out as letters', async () => {
    await tove.open('/sheet');
    await tove.click('Ysolde Marrack', 'a');
    await tove.sees('take-home');
    await tove.keys(Key.SHIFT, 'H', Key.NULL);
    expect(await xOf('[data-zone="flank"]')).toBeLessThan(await xOf('[data-zone="round"]'));
    await tove.openZone('Rib');
    await tove.keys('3');
    await tove.sees('nobody keeps the back ribs');
    await tove.sees(/A\s+Back ribs: .*more in the boxes/s, 'aside');
    await tove.keys('a');
    await tove.sees('complete', 'header[class*="header"]');
    await tove.sees('kept', 'button[title^="Back ribs"]');
    await tove.chord(Key.CONTROL, 'z');
    await tove.sees('nobody keeps the back ribs');
    await tove.chord(Key.CONTROL, 'z');
    await tove.sees('all saved', 'header[class*="header"]');
  });

  it('a whole one hangs in both halves where one side is cut otherwise', async () => {
    await tove.open('/sheet');
    await tove.click('Threlkeld Kitchen', 'a');
    await tove.sees('take-home');
    const sides = async () => (await tove.all('svg[aria-label^="Hanging side"]')).length;
    expect(await sides()).toBe(1);
    await tove.openZone('Brisket');
    await tove.clickOn('.ant-segmented-item:nth-child(2)');
    await tove.find('.ant-segmented-item-selected:nth-child(2)');
    await tove.keys('4');
    await tove.until('both halves', async () => (await sides()) === 2);
    await tove.click('the same on both');
    await tove.until('one again', async () => (await sides()) === 1);
    await tove.sees('all saved', 'header[class*="header"]');
  });
});

describe('wishes', () => {
  it('become proposals beside the sheet, with what each gives up; one is taken in one step of undo', async () => {
    await tove.open('/sheet');
    await tove.click('Perran Vane', 'a');
    await tove.sees('take-home');
    const before = await tove.text('footer');
    await tove.driver.executeScript('document.activeElement.blur()');
    await tove.keys('w');
    await tove.sees('Wishes for');
    await tove.keys('as much sausage as possible but keep the hams, and a pony', Key.ENTER);
    await tove.sees(/The best for it[\s\S]*gives up/);
    await tove.sees('Not understood: “a pony”');
    await tove.sees(/sheets tried/);
    // Row by row: what is left stays as it is, and the figures say so.
    const rows = 'article:nth-child(2) [aria-pressed]';
    const changed = await tove.text('article:nth-child(2) h3');
    await tove.clickOn(rows);
    await tove.sees('1 row left as it is', 'article:nth-child(2)');
    expect(await tove.text('article:nth-child(2) h3')).not.toBe(changed);
    await tove.clickOn(rows);
    await tove.sees(changed, 'article:nth-child(2) h3');
    await tove.driver.executeScript('document.activeElement.blur()');
    await tove.keys('1', Key.ENTER);
    await tove.sees('take-home');
    await tove.until('the footer to say more', async () => (await tove.text('footer')) !== before);
    await tove.chord(Key.CONTROL, 'z');
    await tove.until('what was there', async () => (await tove.text('footer')) === before);
  });

  it('that cannot all be had say which is too much, and show the closest', async () => {
    await tove.keys('w');
    await tove.sees('Wishes for');
    await tove.keys('fits 1 cubic feet', Key.ENTER);
    await tove.sees(/Giving up one of these helps: fits 1 cubic feet/);
    await tove.keys(Key.ESCAPE, Key.ESCAPE);
    await tove.sees('take-home');
  });

  it('words for the cutter that are rows become rows with a yes', async () => {
    await tove.openZone('Wrap, extras');
    await tove.type('#instructions', 'no jowl, ring me first');
    await tove.sees('“no jowl”');
    await tove.click('Yes, as rows');
    await tove.until('the rest', async () => {
      const field = await tove.find('#instructions');
      return (await field.getAttribute('value')) === 'ring me first';
    });
    await tove.sees('all saved', 'header');
  });
});
