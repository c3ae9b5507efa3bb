import { DEMO_USERS } from './demo/people';
import { actorOf, signIn, signOut } from './signIn';
import { NOON, TestShop } from './tests/testShop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('lb', DEMO_USERS);
});
afterAll(() => shop.close());
beforeEach(() => shop.db('signInAttempts').delete());

const maren = DEMO_USERS[0]!;
const later = (minutes: number) => new Date(NOON.getTime() + minutes * 60_000);
const wrong = (at = NOON) => signIn(shop.db, { name: maren.name, secret: 'guess' }, at);
const right = (at = NOON) => signIn(shop.db, maren, at);

describe('signing in', () => {
  it('opens a session that says who somebody is', async () => {
    const result = await right();
    expect(result).toMatchObject({
      ok: true,
      value: { actor: { name: 'Maren', role: 'owner' }, seconds: 43_200 },
    });
    const token = result.ok ? result.value.token : '';
    expect(await actorOf(shop.db, token, later(60))).toMatchObject({ name: 'Maren' });
    expect(await actorOf(shop.db, token, later(12 * 60 + 1))).toBeUndefined();
    expect(await actorOf(shop.db, `${token}x`, NOON)).toBeUndefined();
    expect(await actorOf(shop.db, undefined, NOON)).toBeUndefined();
  });

  it('ends on the server when somebody signs out', async () => {
    const result = await right();
    const token = result.ok ? result.value.token : '';
    await signOut(shop.db, token);
    expect(await actorOf(shop.db, token, NOON)).toBeUndefined();
  });

  it('stores neither secret nor token', async () => {
    const result = await right();
    const everything = JSON.stringify([
      await shop.db('users'),
      await shop.db('sessions'),
      await shop.db('audit'),
    ]);
    expect(everything).not.toContain(maren.secret);
    expect(everything).not.toContain(result.ok ? result.value.token : '-');
    const hashes: { secret: string }[] = await shop.db('users').select('secret');
    expect(hashes.every(({ secret }) => secret.startsWith('scrypt:'))).toBe(true);
    expect(new Set(hashes.map(({ secret }) => secret)).size).toBe(DEMO_USERS.length);
  });

  it('says the same of a wrong secret and of an unknown name', async () => {
    const [known, unknown] = [
      await wrong(),
      await signIn(shop.db, { name: 'Nobody', secret: 'guess' }, NOON),
    ];
    expect(known).toMatchObject({ ok: false, reason: 'wrong' });
    expect(unknown).toEqual(known);
  });
});

describe('guessing', () => {
  it('five times rests the name for a quarter of an hour, even for the right secret', async () => {
    for (let i = 0; i < 5; i += 1) expect(await wrong()).toMatchObject({ reason: 'wrong' });
    expect(await wrong()).toMatchObject({ reason: 'locked' });
    expect(await right(later(14))).toMatchObject({ reason: 'locked' });
    expect(await right(later(16))).toMatchObject({ ok: true });
  });

  it('starts to count anew after a success', async () => {
    for (let i = 0; i < 4; i += 1) await wrong();
    await right();
    for (let i = 0; i < 4; i += 1) await wrong();
    expect(await right()).toMatchObject({ ok: true });
  });

  it('does not rest anybody else', async () => {
    for (let i = 0; i < 6; i += 1) await wrong();
    expect(await signIn(shop.db, DEMO_USERS[1]!, NOON)).toMatchObject({ ok: true });
  });
});
