import Joi from 'joi';
import { randomUUID } from 'node:crypto';
import { failure, success } from '@/core/quantity/result';
import { defineUseCase, passDoorway, type Actor } from './doorway';
import { hogDocument, TestShop } from './tests/testShop';
import { USE_CASES } from './useCases';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const owner: Actor = { id: 'o', name: 'Maren', role: 'owner' };
const around = () => ({ db: shop.db, now: shop.now, devices: shop.devices });
const audit = () => shop.db('audit').select('actor', 'role', 'action', 'outcome', 'subject');

const noteFarm = defineUseCase<{ name: string; then: 'keep' | 'refuse' | 'break' }, string>({
  name: 'noteFarm',
  roles: ['owner', 'counter'],
  writes: true,
  input: Joi.object({ name: Joi.string().required(), then: Joi.string().required() }),
  subject: (input) => input.name,
  run: async ({ db }, { name, then }) => {
    await db('people').insert({ id: randomUUID(), name });
    if (then === 'refuse') return failure('not-today', 'Not today.');
    if (then === 'break') throw new Error('a secret of the machine');
    return success(name);
  },
  after: async (_, output) => `${output}, printed`,
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

  it('writes what was done with an audit line, and then prints', async () => {
    expect(await passDoorway(noteFarm, { name: 'Saltgate', then: 'keep' }, owner, around())).toEqual({
      ok: true,
      value: 'Saltgate, printed',
    });
    expect(await audit()).toEqual([
      { actor: 'o', role: 'owner', action: 'noteFarm', outcome: 'done', subject: 'Saltgate' },
    ]);
  });

  it.each([
    ['refuse', 'not-today'],
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
      expect(asked.roles.length).toBeGreaterThan(0);
      expect(Joi.isSchema(asked.input)).toBe(true);
      expect(asked.writes).toBe(!/View$|^tareScale$/.test(name));
    }
  });
});
