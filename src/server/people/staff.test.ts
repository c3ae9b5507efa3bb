import { randomUUID } from 'node:crypto';
import type { UserState } from '@/data/people';
import { TestShop } from '../tests/testShop';
import { actorOf, signIn } from './signIn';

const SECRET = 'fish-on-friday';

describe('the people of a shop', () => {
  let shop: TestShop;
  beforeAll(async () => {
    shop = await TestShop.open();
  });
  afterAll(() => shop.close());

  const takeOn = (name: string, role: 'owner' | 'cutter' = 'cutter') =>
    shop.ask('takeOn', { clientId: randomUUID(), name, role, secret: SECRET });
  const signsIn = (name: string, secret = SECRET) =>
    signIn(shop.db, { name, secret, address: randomUUID() }, shop.now);
  const stand = (personId: string, state: UserState) =>
    shop.ask('changeStanding', { clientId: randomUUID(), personId, state });
  const idOf = async (name: string) =>
    (await shop.get('staffView', {})).find((each) => each.name === name)!.id;

  it('are taken on, and can sign in at once', async () => {
    expect(await takeOn('Hedda')).toMatchObject({ ok: true });
    expect(await signsIn('Hedda')).toMatchObject({ ok: true, value: { actor: { role: 'cutter' } } });
    expect(await takeOn('hedda')).toMatchObject({ ok: false, reason: 'already-taken', field: 'name' });
    const short = { clientId: randomUUID(), name: 'Ulf', role: 'cutter', secret: 'ox' } as const;
    expect(await shop.ask('takeOn', short)).toMatchObject({ ok: false, field: 'secret' });
  });

  it('are signed out where they are when they rest, leave, or get another secret or role', async () => {
    await takeOn('Sigga');
    const personId = await idOf('Sigga');
    const ways = [
      () => stand(personId, 'rests'),
      () => shop.ask('changeSecret', { clientId: randomUUID(), personId, secret: SECRET }),
      () => shop.ask('changeRole', { clientId: randomUUID(), personId, role: 'smoker' }),
      () => stand(personId, 'left'),
    ];
    for (const way of ways) {
      await stand(personId, 'here');
      const entered = await signsIn('Sigga');
      if (!entered.ok) throw new Error(entered.message);
      expect(await way()).toMatchObject({ ok: true });
      expect(await actorOf(shop.db, entered.value.token, shop.now)).toBeUndefined();
    }
    expect(await signsIn('Sigga')).toMatchObject({ ok: false, reason: 'wrong' });
    await stand(personId, 'here');
    expect(await signsIn('Sigga')).toMatchObject({ ok: true });
  });

  it('always have an owner', async () => {
    await takeOn('Runa', 'owner');
    const runa = await idOf('Runa');
    const alone = { ok: false, reason: 'not-allowed', message: expect.stringContaining('only owner') };
    expect(await stand(runa, 'left')).toMatchObject(alone);
    expect(
      await shop.ask('changeRole', { clientId: randomUUID(), personId: runa, role: 'cutter' }),
    ).toMatchObject(alone);
    await takeOn('Ragna', 'owner');
    expect(await stand(runa, 'rests')).toMatchObject({ ok: true });
  });

  it('keep their secrets out of everything that is written down', async () => {
    const clientId = randomUUID();
    await shop.get('takeOn', { clientId, name: 'Tora', role: 'wrapper', secret: 'salt-and-smoke' });
    const again = { clientId, name: 'Tora', role: 'wrapper', secret: 'something-else' } as const;
    expect(await shop.ask('takeOn', again)).toMatchObject({ ok: true });
    for (const table of ['audit', 'answers', 'users']) {
      expect(JSON.stringify(await shop.db(table))).not.toContain('salt-and-smoke');
    }
    expect(await signsIn('Tora', 'salt-and-smoke')).toMatchObject({ ok: true });
  });

  it('are set up by the owner alone', async () => {
    expect(await shop.ask('staffView', {}, 'counter')).toMatchObject({ ok: false, reason: 'not-allowed' });
  });

  it('have a level at the block if they cut, which the owner gives; else they cut fully', async () => {
    await takeOn('Pim');
    const pim = await idOf('Pim');
    const levelOf = async () => (await shop.get('staffView', {})).find(({ id }) => id === pim)!.level;
    const give = (level: 1 | 2, personId = pim, role: 'owner' | 'cutter' = 'owner') =>
      shop.ask('giveLevel', { clientId: randomUUID(), personId, level }, role);
    expect(await levelOf()).toBe(3);
    expect(await give(2)).toMatchObject({ ok: true });
    expect(await levelOf()).toBe(2);
    expect(await give(1, pim, 'cutter')).toMatchObject({ ok: false, reason: 'not-allowed' });
    expect(await give(1, await idOf('Runa'))).toMatchObject({ ok: false, reason: 'not-found' });
  });
});
