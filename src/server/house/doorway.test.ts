import Joi from 'joi';
import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { success } from '@/core/quantity/result';
import { hogDocument, TestShop } from '../tests/testShop';
import { USE_CASES } from '../useCases';
import type { Actor } from './actor';
import { isOpenTo, passDoorway } from './doorway';
import { refuse } from './reasons';
import { defineUseCase, type UseCase } from './useCase';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const owner: Actor = { kind: 'staff', id: 'o', name: 'Maren', role: 'owner' };
const around = () => shop.around();
const audit = () => shop.db('audit').select('actor', 'role', 'action', 'outcome', 'subject');

const noteFarm = defineUseCase<{ name: string; then: 'keep' | 'refuse' | 'break' }, string>({
  name: 'noteFarm',
  roles: ['owner', 'counter'],
  writes: true,
  input: Joi.object({ name: Joi.string().required(), then: Joi.string().required() }),
  subject: (input) => input.name,
  run: async ({ db }, { name, then }) => {
    await db('people').insert({ id: randomUUID(), name });
    if (then === 'refuse') return refuse('closed', 'Not today.');
    if (then === 'break') throw new Error('a secret of the machine');
    return success(name);
  },
});

describe('the doorway', () => {
  it('lets nobody in who is not signed in', async () => {
    expect(await shop.ask('railView', {}, null)).toMatchObject({ ok: false, reason: 'not-signed-in' });
  });

  it('asks for the role', async () => {
    const refused = await shop.ask(
      'bookOrder',
      { clientId: randomUUID(), document: hogDocument() },
      'wrapper',
    );
    expect(refused).toMatchObject({ ok: false, reason: 'not-allowed' });
    expect(refused.ok || refused.message).toBe('This is not for the wrapper. Ask owner or counter.');
    expect(await shop.db('animals')).toEqual([]);
  });

  it('names every field of the wrong shape', async () => {
    const refused = await passDoorway(noteFarm, { nam: 'x' }, owner, around());
    expect(refused).toMatchObject({ ok: false, reason: 'invalid' });
    expect(!refused.ok && refused.problems!.map((problem) => problem.field)).toEqual(['name', 'then', 'nam']);
  });

  it('writes what was done with an audit line', async () => {
    expect(await passDoorway(noteFarm, { name: 'Saltgate', then: 'keep' }, owner, around())).toEqual({
      ok: true,
      value: 'Saltgate',
    });
    expect(await audit()).toEqual([
      { actor: 'o', role: 'owner', action: 'noteFarm', outcome: 'done', subject: 'Saltgate' },
    ]);
  });

  it.each([
    ['refuse', 'closed'],
    ['break', 'unexpected'],
  ] as const)('a use case that ends in %s leaves nothing half-written', async (then, reason) => {
    const refused = await passDoorway(noteFarm, { name: 'Saltgate', then }, owner, around());
    expect(refused).toMatchObject({ ok: false, reason });
    expect(await shop.db('people')).toEqual([]);
    expect((await audit()).map((line) => line.outcome)).toEqual([reason]);
  });

  it('keeps the secrets of the machine, and gives a reference to ask for', async () => {
    const refused = await passDoorway(noteFarm, { name: 'x', then: 'break' }, owner, around());
    const message = refused.ok ? '' : refused.message;
    expect(message).not.toContain('secret');
    expect(message).toMatch(/say [0-9a-f]{8}\.$/);
  });

  it('has a name, a shape and roles for every use case, and each is called as it is listed', () => {
    for (const [name, asked] of Object.entries(USE_CASES)) {
      expect(asked.name).toBe(name);
      const { others = [] } = asked as Pick<UseCase<never, unknown>, 'others'>;
      expect(asked.roles.length + others.length).toBeGreaterThan(0);
      expect(Joi.isSchema(asked.input)).toBe(true);
      expect(asked.writes).toBe(!/View$|^tareScale$/.test(name));
    }
  });

  it('logs what nobody signed in asks, and keeps nothing of it', async () => {
    for (let i = 0; i < 5; i += 1)
      await passDoorway(noteFarm, { name: 'x', then: 'keep' }, undefined, around());
    expect(await audit()).toEqual([]);
  });

  it('publishes what was done once it is kept, with the shares that stand differently', async () => {
    const heard: unknown[] = [];
    const end = shop.events.subscribe((event) => heard.push(event));
    await passDoorway(noteFarm, { name: 'x', then: 'refuse' }, owner, around());
    const files = await shop.book();
    end();
    await passDoorway(noteFarm, { name: 'x', then: 'keep' }, owner, around());
    const clientId = expect.any(String) as string;
    expect(heard).toEqual([{ asked: 'bookOrder', shares: files.map((file) => file.share.id), clientId }]);
  });
});

describe('the same question twice', () => {
  const counting = defineUseCase<{ clientId: string; name: string }, { id: string }>({
    name: 'counting',
    roles: ['owner'],
    writes: true,
    input: Joi.object({ clientId: Joi.string().guid().required(), name: Joi.string().required() }),
    run: async ({ db }, { name }) => {
      const person = { id: randomUUID(), name };
      await db('people').insert(person);
      return success({ id: person.id });
    },
  });
  const ask = (input: object, actor: Actor = owner) => passDoorway(counting, input, actor, around());

  it('gets the same answer and is done once, with one line in the audit', async () => {
    const input = { clientId: randomUUID(), name: 'Saltgate' };
    const results = await Promise.all([
      ask(input),
      ask({ name: 'Saltgate', clientId: input.clientId }),
      ask(input),
    ]);
    expect(new Set(results.map((result) => JSON.stringify(result))).size).toBe(1);
    expect(await shop.db('people')).toHaveLength(1);
    expect(await audit()).toHaveLength(1);
  });

  it('with other words, or by somebody else, is refused and changes nothing', async () => {
    const input = { clientId: randomUUID(), name: 'Saltgate' };
    await ask(input);
    expect(await ask({ ...input, name: 'Low Tarn' })).toMatchObject({ reason: 'id-reused' });
    expect(await ask(input, { ...owner, id: 'another' } as Actor)).toMatchObject({ reason: 'id-reused' });
    expect(await shop.db('people')).toHaveLength(1);
  });

  it('after a refusal is asked anew', async () => {
    const input = { clientId: randomUUID(), name: 'x', then: 'refuse' as const };
    expect(await passDoorway(noteFarm, { name: input.name, then: 'refuse' }, owner, around())).toMatchObject({
      ok: false,
    });
    expect(await ask({ clientId: input.clientId, name: 'x' })).toMatchObject({ ok: true });
  });
});

describe('views', () => {
  it('are of one moment, whatever is booked meanwhile', async () => {
    const booking = (at: number) => ({
      clientId: randomUUID(),
      document: hogDocument({ animal: { ...hogDocument().animal, tag: `H${at}` } }),
    });
    const asked = Array.from({ length: 20 }, (_, at) => [
      passDoorway(USE_CASES.bookOrder, booking(at), owner, around()),
      passDoorway(USE_CASES.hangView, {}, owner, around()),
      passDoorway(USE_CASES.railView, {}, owner, around()),
    ]).flat();
    for (const result of await Promise.all<{ ok: boolean }>(asked)) expect(result.ok).toBe(true);
  });
});

describe('rights on rows', () => {
  const peek = defineUseCase<{ shareId: ShareId }, string>({
    name: 'peek',
    roles: ['owner'],
    others: ['household', 'farmer'],
    writes: false,
    input: Joi.object({ shareId: Joi.string().guid().required() }),
    run: async () => success('seen'),
  });

  it('a household sees its own share and no other, a farmer those of the own farm', async () => {
    const [left, right] = await shop.book();
    const household: Actor = { kind: 'household', id: 'link', name: 'Ottilie', shareId: left!.share.id };
    const farmer: Actor = { kind: 'farmer', id: 'link', name: 'Low Tarn', farmId: left!.animal.farm.id };
    const other: Actor = { kind: 'farmer', id: 'link', name: 'Saltgate', farmId: right!.share.owner.id };
    const ask = (actor: Actor, file = left!) =>
      passDoorway(peek, { shareId: file.share.id }, actor, around());
    expect(await ask(household)).toMatchObject({ ok: true });
    expect(await ask(household, right!)).toMatchObject({ reason: 'not-allowed' });
    expect([await ask(farmer), await ask(farmer, right!)]).toMatchObject([{ ok: true }, { ok: true }]);
    expect(await ask(other)).toMatchObject({ reason: 'not-allowed' });
    expect(await passDoorway(peek, { shareId: randomUUID() }, farmer, around())).toMatchObject({
      reason: 'not-allowed',
    });
    expect(await ask({ kind: 'device', id: 'scale', name: 'scale' })).toMatchObject({
      reason: 'not-allowed',
    });
  });

  it('what is not said to be open to others is closed to them', async () => {
    const [left] = await shop.book();
    const household: Actor = { kind: 'household', id: 'link', name: 'Ottilie', shareId: left!.share.id };
    const open = [
      'saveSheet',
      'householdSheetView',
      'householdSpeciesView',
      'householdCopyView',
      'householdCalendarView',
      'householdStatementView',
      'sendSheet',
    ];
    for (const [name, asked] of Object.entries(USE_CASES)) {
      expect([name, isOpenTo(asked, household)]).toEqual([name, open.includes(name)]);
      if (open.includes(name)) continue;
      const result = await passDoorway(asked as never, { shareId: left!.share.id }, household, around());
      expect(result).toMatchObject({ ok: false, reason: 'not-allowed' });
    }
  });
});
