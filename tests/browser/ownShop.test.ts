import { Key } from 'selenium-webdriver';
import { Person } from './browser';
import { RunningDemo } from './runningDemo';

jest.setTimeout(240_000);

const OWNER = { shop: 'Hollow Way Cutting', owner: 'Kari', secret: 'a long enough one' };

let shop: RunningDemo;
let kari: Person;

beforeAll(async () => {
  shop = await RunningDemo.ownShop(OWNER);
  kari = await Person.arrive(shop.address);
});
afterAll(async () => {
  await kari?.leave();
  await shop?.stop();
});

/** Chooses an entry of a list that opens. */
async function choose(field: string, words: string): Promise<void> {
  await kari.clickOn(field);
  await kari.until(`${words} among the choices`, async () => {
    for (const option of await kari.all('.ant-select-item-option')) {
      if (!(await option.isDisplayed()) || !(await option.getText()).includes(words)) continue;
      await option.click();
      return true;
    }
    return false;
  });
}

describe('a shop of one’s own, without a line of code', () => {
  it('begins empty', async () => {
    await kari.open('/sign-in');
    await kari.type('#name', OWNER.owner);
    await kari.type('#secret', OWNER.secret);
    await kari.keys(Key.ENTER);
    await kari.find('nav[aria-label="Rail"]');
    await kari.sees(/Nothing/);
  });

  it('has its own prices', async () => {
    await kari.open('/shop/prices');
    await kari.click('Another list from this one');
    await kari.type('#name', 'First prices');
    const tomorrow = new Date(Date.now() + 2 * 86_400_000).toISOString().slice(0, 10);
    await kari.type('#effectiveFrom', tomorrow);
    await kari.click('Take it in hand');
    await kari.type('input[aria-label="Rate of Cut and wrap"]', '1.23');
    await kari.keys(Key.ENTER);
    await kari.sees('1.23', 'aside');
    await kari.click('In force from');
    await kari.sees('0 shares booked; coming');
  });

  it('has a rule of its own, and refuses one that cannot be', async () => {
    await kari.open('/shop/rules');
    await kari.type('input[aria-label="Should hang, days, Hog"]', '900');
    await kari.keys(Key.ENTER);
    await kari.sees('0 to 120');
    await kari.type('input[aria-label="Should hang, days, Hog"]', '3');
    await kari.keys(Key.ENTER);
    await kari.sees('hog: days to hang 3', 'aside');
    await kari.type('input[aria-label="May hang, days, Hog"]', '1');
    await kari.keys(Key.ENTER);
    await kari.sees('It should hang 3 days');
    await kari.keys(Key.ESCAPE);
  });

  it('has a cut of its own, and a composite one held together by a net', async () => {
    await kari.open('/shop/catalogue');
    await kari.sees('Jowl kept');
    await ownCut('ham', {
      name: 'Leg roll',
      pieces: ['Inside (semimembranosus', 'Outside and eye'],
      net: true,
    });
    await kari.sees('hog: own cut Leg roll', 'aside');
    await kari.open('/shop/catalogue');
    await kari.click('Beef', '*[contains(@class, "ant-segmented-item-label")]');
    await ownCut('round', { name: 'Sunday round', pieces: ['Eye of round'], net: false });
    await kari.sees('beef: own cut Sunday round', 'aside');
  });

  it('has a word of its own for a cut', async () => {
    await kari.open('/shop/catalogue');
    await kari.type('input[aria-label="The shop’s word for Jowl, cured and smoked"]', 'Smoked cheek');
    await kari.keys(Key.ENTER);
    await kari.sees('hog: Jowl, cured and smoked is called Smoked cheek', 'aside');
  });

  it('has a recipe of its own: the label follows what is in it', async () => {
    await kari.open('/shop/made');
    await kari.click('A recipe of our own');
    await kari.type('#name', 'Kari’s mustard');
    await kari.click('Another ingredient');
    await kari.clickOn('.ant-modal #parts_2_ingredient');
    await kari.keys('mustard seed', Key.ENTER);
    await kari.type('#parts_2_lb', '0.5');
    await kari.sees('Contains: mustard.');
    await kari.click('Keep it');
    await kari.sees('hog: recipe Kari’s mustard', 'aside');
  });

  it('has somebody who works there, and rails with feet', async () => {
    await kari.open('/shop/people');
    await kari.click('Take somebody on');
    await kari.type('#name', 'Odda');
    await kari.type('#secret', 'fish-on-friday');
    await kari.click('Take them on');
    await kari.sees('Odda');
    await kari.open('/shop/places');
    await kari.click('Another place');
    await kari.type('#name', 'Long rail');
    await kari.type('#size', '40');
    await kari.click('Add it');
    await kari.sees('rail Long rail, 40 feet', 'aside');
  });
});

/** Describes a cut of the shop's own at the zone on the side map. */
async function ownCut(
  zone: string,
  { name, pieces, net }: { name: string; pieces: string[]; net: boolean },
): Promise<void> {
  await kari.clickOn(`svg path[aria-label^="${zone}:"]`);
  const titles = zone === 'ham' ? 'Ham' : 'Eye of round';
  await kari.until(`${titles} on the page`, () =>
    kari.driver.executeScript<boolean>(
      `const heading = [...document.querySelectorAll('h2')].find((each) => each.textContent.startsWith(arguments[0]));
       const button = heading && [...heading.querySelectorAll('button')].find((each) => each.textContent === 'a cut of our own');
       button?.click();
       return button !== undefined;`,
      titles,
    ),
  );
  await kari.type('.ant-modal #name', name);
  for (const piece of pieces) await kari.click(piece, 'label');
  if (net) await kari.click('held together by a net', 'label');
  await kari.click('Try it and take it');
}

describe('its first calls', () => {
  const typed = (css: string, text: string) => kari.type(css, text);

  it('a beef in four mixed quarters, one of them not sold', async () => {
    await kari.open('/book');
    await typed('#farm_name', 'Saltgate');
    await typed('#animal_tag', 'B048');
    await kari.sees('Saltgate, one beef');
    await choose('#animal_division', 'four mixed quarters');
    await kari.sees('the side is cut as one');
    await typed('#shares_0_owner_name', 'Isolde Wray');
    await typed('#shares_1_owner_name', 'Tobit Lane');
    await typed('#shares_2_owner_name', 'Merrin Shaw');
    await kari.driver.executeScript(
      `[...document.querySelectorAll('[role=group]')].at(-1).querySelector('button').click()`,
    );
    await kari.sees('Stays Saltgate’s');
    await kari.sees('3 sold + 1 not sold yet');
    await kari.chord(Key.CONTROL, Key.ENTER);
    await kari.sees('B048 is booked');
  });

  it('two hogs in halves by a run of tags, mistyped once; nothing is lost', async () => {
    await typed('#farm_name', 'Low Tarn');
    await typed('#animal_tag', 'H121-H122');
    await kari.keys(Key.TAB);
    await kari.sees('two hogs');
    await typed('#shares_0_owner_name', 'Hesper Lund');
    await typed('#shares_1_owner_name', 'Marit Fallow');
    await typed('#animal1_shares_0_owner_name', 'Petrok Hale');
    await kari.chord(Key.CONTROL, Key.ENTER);
    await kari.sees('Nothing was booked');
    await kari.driver.navigate().refresh();
    await kari.until(
      'what was typed',
      async () => (await (await kari.find('#shares_1_owner_name')).getAttribute('value')) === 'Marit Fallow',
    );
    await typed('#animal1_shares_1_owner_name', 'Odile Fenn');
    await kari.chord(Key.CONTROL, Key.ENTER);
    await kari.sees('H121, H122 are booked');
  });

  it('a lamb in one piece', async () => {
    await typed('#farm_name', 'Windle Croft');
    await typed('#animal_tag', 'L300');
    await choose('#animal_division', 'one whole');
    await kari.click('more of it');
    await kari.click('hangs in one piece', 'label');
    await typed('#shares_0_owner_name', 'Ann Birch');
    await kari.chord(Key.CONTROL, Key.ENTER);
    await kari.sees('L300 is booked');
  });

  it('stand on sheet and bill as the shop set itself up', async () => {
    await kari.open('/sheet');
    await kari.open('/book');
    await kari.click('Hesper Lund', 'a');
    await kari.sees('take-home');
    await kari.openZone('Ham');
    await kari.click('Leg roll');
    await kari.sees('Leg roll', 'section[aria-label^="Boxes"], main');
    await kari.openZone('Jowl');
    await kari.click('Jowl kept');
    await kari.sees('Smoked cheek');
    await kari.openZone('Grind');
    await kari.clickOn('input[aria-label="Recipe"]');
    await kari.keys('mustard kari', Key.ENTER);
    await kari.sees('Kari’s mustard');
  });

  it('what is answered on a sheet becomes the house’s, with its size and a reason', async () => {
    await kari.openZone('Butt');
    await kari.click('Blade steaks');
    await kari.click('Make this the house’s answer');
    await kari.click('Say so from now on');
    await kari.sees('A reason is shown to the customer.');
    await kari.type('.ant-modal input', 'Everybody grills here.');
    await kari.click('Say so from now on');
    await kari.sees('The house says so from now on.');
    await kari.open('/shop/catalogue');
    await kari.sees('hog: Butt: blade steaks');
    await kari.find('input[value="Everybody grills here."]');
  });

  it('and households that are cut as one find one sheet', async () => {
    await kari.open('/book');
    await kari.click('Tobit Lane', 'a');
    await kari.sees('Isolde Wray and Tobit Lane, left half', 'h1');
  });
});
