import { Key } from 'selenium-webdriver';
import type { WeekView } from '@/server/week';
import { Person } from './browser';
import { RunningDemo } from './runningDemo';
import { walkOf } from './walk';

/** The week of the demo: planned and proven, changed by keys, lost a day, promised too much, and kept. */
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

const step = walkOf();
const RAIL = 'ol[aria-label="The days"]';
const HAND = 'section[aria-label="In hand"]';
const CANNOT = 'section[aria-label="What cannot be done"]';

const week = () => maren.act<WeekView>('weekView', {});
const noDialog = () =>
  maren.until('no dialog', async () => (await maren.all('.ant-modal-wrap')).length === 0);

/** The first day of the week on which something is cut. */
async function firstDay(): Promise<{ day: string; at: number }> {
  const { room } = await week();
  const at = room.days.findIndex(({ block }) => block > 0);
  return { day: room.days[at]!.day, at };
}

describe('the week', () => {
  step('is planned when it opens, with a proof', async () => {
    await maren.open('/week');
    await maren.sees(/Proven: no week is better/, CANNOT);
    const { animals } = await week();
    for (const { tag } of animals) await maren.sees(tag, RAIL);
  });

  step('says at once what moving an animal does, and puts it back', async () => {
    const before = await maren.text(HAND);
    expect(before).toContain('as good as before');
    await maren.keys('n');
    await maren.until('the next in hand', async () => (await maren.text(HAND)) !== before);
    await maren.keys(Key.ARROW_RIGHT);
    await maren.sees(/(worse|better) by \d+ minutes? of overtime/, HAND);
    await maren.sees(/\+ \d+ = \d+ of \d+/, HAND);
    await maren.keys(Key.ESCAPE);
    await maren.sees('as good as before', HAND);
  });

  step('is kept, and stands for everybody', async () => {
    await maren.keys(Key.ENTER);
    await maren.sees('This week stands');
    const { room, plannedAt } = await week();
    expect(plannedAt).not.toBe('');
    expect(room.animals.every(({ was }) => was !== null)).toBe(true);
  });

  step('plans anew around a day that is lost, and says why', async () => {
    const { day } = await firstDay();
    await maren.clickOn(`${RAIL} li:not([class*="closed"]) > button`);
    await maren.sees('A usual day has');
    await maren.type('#block', '0');
    await maren.type('#why', 'the saw is broken');
    await maren.click('That is how it is');
    await maren.sees('the saw is broken', RAIL);
    await noDialog();
    await maren.sees(/Proven|Not proven:/, CANNOT);
    const { room, why } = await week();
    expect(why[day]).toBe('the saw is broken');
    const lost = room.days.findIndex((each) => each.day === day);
    expect(room.days[lost]!.block).toBe(0);
  });

  step('says what a promise costs, and the one thing that helps most', async () => {
    const { today, animals } = await week();
    const soon = new Date(Date.parse(today) + 4 * 86_400_000).toISOString().slice(0, 10);
    await maren.keys('r');
    await maren.sees('All of it can be collected by then');
    await maren.day('#day', soon);
    await noDialog();
    await maren.sees('Give one of these', CANNOT);
    await maren.sees(/not ready by/, RAIL);
    const promised = (await week()).animals.filter((each) => each.promised !== null);
    expect(promised).toHaveLength(1);
    expect(animals.map(({ tag }) => tag)).toContain(promised[0]!.tag);
    // Given up, it is as if nobody had promised.
    await maren.click('is not ready by the day that was promised');
    await maren.until('no promise', async () =>
      (await week()).animals.every((each) => each.promised === null),
    );
  });
});
