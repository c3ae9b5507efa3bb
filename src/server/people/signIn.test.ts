import { randomUUID } from 'node:crypto';
import { DEMO_USERS } from '../demo/people';
import { purgeSessions } from '@/data/people';
import { actorOf, signIn, signOut } from './signIn';
import { NOON, TestShop } from '../tests/testShop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('lb', DEMO_USERS);
});
afterAll(() => shop.close());
beforeEach(() => shop.db('signInAttempts').delete());

const maren = DEMO_USERS[0]!;
const later = (minutes: number) => new Date(NOON.getTime() + minutes * 60_000);
const HERE = '192.0.2.1';
const ELSEWHERE = '192.0.2.99';
const wrong = (at = NOON, address = HERE) =>
  signIn(shop.db, { name: maren.name, secret: 'guess', address }, at);
const right = (at = NOON, address = HERE) => signIn(shop.db, { ...maren, address }, at);

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
      await signIn(shop.db, { name: 'Nobody', secret: 'guess', address: HERE }, NOON),
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
    expect(await signIn(shop.db, { ...DEMO_USERS[1]!, address: HERE }, NOON)).toMatchObject({ ok: true });
  });

  it('in parallel is no way past the limit', async () => {
    const results = await Promise.all(Array.from({ length: 40 }, () => wrong()));
    const reasons = results.map((result) => (result.ok ? 'in' : result.reason));
    expect(reasons.filter((reason) => reason === 'wrong')).toHaveLength(5);
    expect(reasons.filter((reason) => reason === 'locked')).toHaveLength(35);
  });

  it('from elsewhere does not lock out who is here', async () => {
    for (let i = 0; i < 8; i += 1) await wrong(NOON, ELSEWHERE);
    expect(await right()).toMatchObject({ ok: true });
  });

  it('many names from one place rests the place', async () => {
    const guess = (name: string) => signIn(shop.db, { name, secret: 'guess', address: ELSEWHERE }, NOON);
    for (let i = 0; i < 20; i += 1) await guess(`name ${i}`);
    expect(await guess('another')).toMatchObject({ reason: 'locked' });
    expect(await right()).toMatchObject({ ok: true });
  });

  it('leaves no lines in the audit', async () => {
    const before = await shop.db('audit').count({ all: '*' });
    for (let i = 0; i < 6; i += 1) await wrong();
    expect(await shop.db('audit').count({ all: '*' })).toEqual(before);
  });

  it('can be forgiven by the owner', async () => {
    for (let i = 0; i < 6; i += 1) await wrong();
    const unlock = { clientId: randomUUID(), name: 'Maren' };
    expect(await shop.ask('unlockName', unlock, 'counter')).toMatchObject({ reason: 'not-allowed' });
    await shop.get('unlockName', unlock, 'owner');
    expect(await right()).toMatchObject({ ok: true });
  });
});

describe('sessions', () => {
  beforeEach(() => shop.db('sessions').delete());

  it('are listed to their owner, all of them to the shop’s owner, and can be ended', async () => {
    const signedIn = await right();
    const token = signedIn.ok ? signedIn.value.token : '';
    const [session] = await shop.get('sessionsView', {}, 'owner');
    expect(session).toMatchObject({ name: 'Maren', address: HERE, startedAt: NOON.toISOString() });
    expect(JSON.stringify(session)).not.toContain('Hash');
    expect(await shop.get('sessionsView', {}, 'wrapper')).toEqual([]);
    const end = { clientId: randomUUID(), sessionId: session!.id };
    expect(await shop.ask('endSession', end, 'wrapper')).toMatchObject({ reason: 'not-allowed' });
    await shop.get('endSession', end, 'owner');
    expect(await actorOf(shop.db, token, NOON)).toBeUndefined();
  });

  it('that have run out are removed', async () => {
    await right();
    expect(await purgeSessions(shop.db, later(60).toISOString())).toBe(0);
    expect(await purgeSessions(shop.db, later(13 * 60).toISOString())).toBe(1);
  });
});
