import { randomUUID } from 'node:crypto';
import type { WeekWord } from '@/core/week/journal';
import { bestPlan } from '@/core/week/bestPlan';
import { weekJob } from '@/core/week/weekJob';
import { daysAfter, dayWords, type Day } from '@/core/time/shopTime';
import type { Role } from '@/data/people';
import { passDoorway } from '../house/doorway';
import { links } from '../links';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const book = (tag: string, killDate: string) =>
  shop.book(
    hogDocument({
      animal: { ...hogDocument().animal, tag, killDate },
      shares: [
        { part: 'left', owner: { name: 'Ottilie Brandreth' }, sheet: { houseForTheRest: true } },
        { part: 'right', owner: { name: 'Corwin Aske' } },
      ],
    }),
  );

const week = () => shop.get('weekView', {});
const say = (word: WeekWord, role: Role = 'owner') =>
  shop.ask('sayOfWeek', { clientId: randomUUID(), word }, role);

describe('the weeks of a shop', () => {
  it('hold what hangs and what is booked, with minutes from its sheets, and let go what is on the block', async () => {
    await book('H700', '2026-11-23');
    await shop.onTheBlock();
    const { animals, room, today } = await week();
    expect(animals.map(({ tag }) => tag)).toEqual(['H700']);
    expect(animals[0]).toMatchObject({ openSheets: 2, isCured: true });
    expect(animals[0]!.names).toHaveLength(2);
    const [cut] = room.animals;
    // Two sheets take longer than one.
    expect(cut!.block).toBe(Math.round(55 * 1.15));
    expect(cut!.bench).toBeGreaterThan(30);
    expect(room.days[0]!.day).toBe(today);
    expect(room.days).toHaveLength(21);
    const closed = room.days.filter(({ block }) => block === 0).length;
    expect(closed).toBe(6);
    // The floor sees the week, and no telephone of it.
    expect(await shop.ask('weekView', {}, 'wrapper')).toMatchObject({ ok: true });
  }, 60_000);

  it('plan anew around a day that is lost, a promise and a pin, and keep what was planned', async () => {
    for (const at of [0, 1, 2]) await book(`H70${at}`, '2026-11-23');
    const before = await bestPlan((await week()).room);
    const { animals, room } = await week();
    const dayOf = (at: number | null) => room.days[at!]!.day;
    const on = Object.fromEntries(animals.map(({ animalId }, at) => [animalId, dayOf(before.plan[at]!)]));
    expect(await say({ kind: 'plan', on: on as never })).toMatchObject({ ok: true });
    expect((await week()).room.animals.map(({ was }) => was)).toEqual(before.plan);
    const lost = dayOf(before.plan[0]!);
    await say({ kind: 'hours', day: lost, block: 0, bench: 0, why: 'the saw is broken' });
    const after = await week();
    expect(after.why).toEqual({ [lost]: 'the saw is broken' });
    const anew = await bestPlan(after.room);
    expect(anew.plan).not.toContain(before.plan[0]);
    await say({ kind: 'usual', day: lost });
    const pinned = daysAfter(lost, 1);
    if ((await week()).room.days.find(({ day }) => day === pinned)!.block > 0) {
      expect(await say({ kind: 'pin', animalId: animals[0]!.animalId, day: pinned })).toMatchObject({
        ok: true,
      });
      expect((await bestPlan((await week()).room)).plan[0]).toBe(before.plan[0]! + 1);
      await say({ kind: 'pin', animalId: animals[0]!.animalId, day: null });
    }
    // Ready by tomorrow cannot be: it is said, with what would help.
    const { today } = after;
    await say({ kind: 'promise', animalId: animals[1]!.animalId, day: daysAfter(today, 1) });
    const found = await weekJob((await week()).room, () => {});
    expect(found.helps).toContainEqual({ kind: 'promise', animal: 1, saves: 900 });
  }, 60_000);

  it('say on the telephone when one more would be cut, and from when it can be collected', async () => {
    const { today, room } = await week();
    const ready = await shop.get('readyView', { species: 'hog', killDate: today });
    const on = room.days.find(({ day }) => day === ready.cutOn)!;
    expect(on.block).toBeGreaterThan(0);
    expect([ready.fresh, ready.cured]).toEqual([daysAfter(ready.cutOn!, 3), daysAfter(ready.cutOn!, 12)]);
    const later = await shop.get('readyView', { species: 'beef', killDate: daysAfter(today, 14) });
    expect(later.cutOn).toBeNull();
    expect(await shop.ask('readyView', { species: 'goose', killDate: today })).toMatchObject({
      reason: 'not-found',
    });
  }, 60_000);

  it('are a file of an open calendar: the shop’s what it cuts, a household’s its own days alone', async () => {
    await book('H700', '2026-11-23');
    const { animals, today } = await week();
    const { animalId, shareId } = animals[0]!;
    const folded = (text: string) => text.replaceAll(/\r\n[ \t]/g, '');
    expect((await shop.get('weekCalendarView', {})).text).not.toContain('BEGIN:VEVENT');
    const day = daysAfter(today, 2);
    expect(await say({ kind: 'plan', on: { [animalId]: day } as never })).toMatchObject({ ok: true });
    const text = folded((await shop.get('weekCalendarView', {})).text);
    expect(text).toContain('SUMMARY:Cut hog H700');
    expect(text).toContain(`DTSTART;VALUE=DATE:${day.replaceAll('-', '')}`);
    const household = { kind: 'household', id: 'link', name: 'Ottilie', shareId } as const;
    const own = await passDoorway(links.householdCalendarView, { shareId }, household, shop.around());
    const mine = folded(own.ok ? own.value.text : '');
    expect(mine).toContain(`DTSTART;VALUE=DATE:${day.replaceAll('-', '')}`);
    expect(mine).toContain(`DTSTART;VALUE=DATE:${daysAfter(day, 12).replaceAll('-', '')}`);
    expect(mine).not.toContain('Corwin');
    expect(mine).toContain(`DTEND;VALUE=DATE:${daysAfter(day, 1).replaceAll('-', '')}`);
    // Its page says the same day.
    const page = await passDoorway(links.householdSheetView, { shareId }, household, shop.around());
    expect(page).toMatchObject({ ok: true, value: { days: { cut: dayWords(day) } } });
    expect(mine).not.toContain('About');
  }, 60_000);

  it('refuse a pin to a closed day, a plan of days that are over, and words of whoever is not asked', async () => {
    await book('H700', '2026-11-23');
    const { animals, room, today } = await week();
    const { animalId } = animals[0]!;
    const closed = room.days.find(({ block }) => block === 0)!.day;
    expect(await say({ kind: 'pin', animalId, day: closed })).toMatchObject({
      reason: 'not-yet',
      message: expect.stringContaining(closed),
    });
    const past = daysAfter(today, -3);
    expect(await say({ kind: 'plan', on: { [animalId]: past } as never })).toMatchObject({
      reason: 'not-yet',
    });
    expect(await say({ kind: 'plan', on: { [animalId]: closed } as never })).toMatchObject({
      reason: 'not-yet',
    });
    const lost = { kind: 'hours', day: today, block: 0, bench: 0 } as const;
    for (const [why, field] of [
      ['', 'why'],
      [7 as never, 'why'],
    ] as const) {
      expect(await say({ ...lost, why })).toMatchObject({ ok: false, field: expect.stringContaining(field) });
    }
    expect(await say({ ...lost, block: -1, why: 'the saw' })).toMatchObject({
      field: expect.stringContaining('block'),
    });
    expect(await say({ kind: 'usual', day: today }, 'wrapper')).toMatchObject({ reason: 'not-allowed' });
    expect(await say({ kind: 'usual', day: '2026-13-40' as Day })).toMatchObject({ ok: false });
  }, 60_000);
});
