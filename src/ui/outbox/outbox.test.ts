import { failure, success, type Result } from '@/core/quantity/result';
import type { ShareId } from '@/core/order/animal';
import type { Weight } from '@/core/quantity/weight';
import type { WeighingId } from '@/core/order/work';
import { isOnItsWay, Outbox, type Store, type Taken, type WeighInput } from './outbox';

const sunna = { id: 'sunna', name: 'Sunna', role: 'wrapper' };
const tove = { id: 'tove', name: 'Tove', role: 'counter' };

function weighing(clientId: string, loadId = clientId): WeighInput {
  const reading = { scaleId: 'bench', loadId, gross: 1290, tare: 0, net: 1290, unit: 'lb', state: 'steady' };
  return {
    clientId,
    shareId: 's1' as ShareId,
    purpose: { kind: 'tub' },
    pieces: null,
    reading: { ...reading, takenAt: '2026-11-26T08:00:00Z', signature: 'x' } as never,
  };
}

const taken: Result<Taken, string> = success({
  id: 'w1' as WeighingId,
  net: 1290 as Weight,
  cut: 'Trim for the grind',
});

/** A device whose store survives its pages, and may be full. */
class Device implements Store {
  text: string | null = null;
  full = false;
  read = () => this.text;
  write = (text: string) => {
    if (this.full) throw new DOMException('full', 'QuotaExceededError');
    this.text = text;
  };
}

function page(device: Device, answers: Record<string, Result<Taken, string>[]>) {
  const sent: string[] = [];
  const outbox = new Outbox(device, async ({ input: { clientId } }) => {
    sent.push(clientId);
    return answers[clientId]?.shift() ?? taken;
  });
  outbox.load();
  const ids = () => outbox.waiting.get().map((each) => each.input.clientId);
  return { outbox, sent, ids };
}

describe('weighings on their way', () => {
  it('are kept by the device until the house has answered, whichever page sends them', async () => {
    const device = new Device();
    const away = page(device, { a: [failure('offline', 'away')] });
    away.outbox.add({ name: 'weigh', input: weighing('a') }, sunna);
    away.outbox.add({ name: 'weigh', input: weighing('b') }, sunna);
    await away.outbox.flush('sunna');
    expect([away.sent, away.outbox.away.get()]).toEqual([['a'], true]);
    const later = page(device, {});
    expect(later.ids()).toEqual(['a', 'b']);
    await later.outbox.flush('sunna');
    expect([later.sent, later.ids()]).toEqual([['a', 'b'], []]);
  });

  it('are sent by the person who took them, and by nobody else', async () => {
    const device = new Device();
    const { outbox, sent, ids } = page(device, {});
    outbox.add({ name: 'weigh', input: weighing('a') }, sunna);
    outbox.add({ name: 'weigh', input: weighing('b') }, tove);
    await outbox.flush('tove');
    expect([sent, ids()]).toEqual([['b'], ['a']]);
  });

  it('one that the house fails at is set aside after three tries and holds up nobody', async () => {
    const broken = () => failure('unexpected', 'Say 1234.');
    const { outbox, sent, ids } = page(new Device(), { a: [broken(), broken(), broken()] });
    outbox.add({ name: 'weigh', input: weighing('a') }, sunna);
    outbox.add({ name: 'weigh', input: weighing('b') }, sunna);
    for (let tries = 0; tries < 4; tries += 1) await outbox.flush('sunna');
    expect(sent).toEqual(['a', 'a', 'a', 'b']);
    expect(outbox.waiting.get()).toMatchObject([{ input: { clientId: 'a' }, setAside: 'Say 1234.' }]);
    outbox.dismiss('a');
    expect(ids()).toEqual([]);
  });

  it('a refusal is told to whoever looks; when nobody does it stands until it is seen', async () => {
    const { outbox, ids } = page(new Device(), {
      a: [failure('closed', 'This order is closed.')],
      b: [failure('closed', 'This order is closed.')],
    });
    outbox.add({ name: 'weigh', input: weighing('a') }, sunna);
    await outbox.flush('sunna');
    expect(outbox.waiting.get()).toMatchObject([{ setAside: 'This order is closed.' }]);
    outbox.dismiss('a');
    const heard: boolean[] = [];
    const stop = outbox.onAnswer((_, answer) => heard.push(answer.ok) > 0);
    outbox.add({ name: 'weigh', input: weighing('b') }, sunna);
    await outbox.flush('sunna');
    stop();
    expect([heard, ids()]).toEqual([[false], []]);
  });

  it('a device without room says so, and what was weighed is sent all the same', async () => {
    const device = new Device();
    const { outbox, sent, ids } = page(device, {});
    device.full = true;
    outbox.add({ name: 'weigh', input: weighing('a') }, sunna);
    expect([outbox.kept.get(), ids()]).toEqual([false, ['a']]);
    await outbox.flush('sunna');
    expect([sent, ids()]).toEqual([['a'], []]);
  });

  it('a session that ended leaves them waiting', async () => {
    const { outbox, ids } = page(new Device(), { a: [failure('not-signed-in', 'Sign in.')] });
    outbox.add({ name: 'weigh', input: weighing('a') }, sunna);
    await outbox.flush('sunna');
    expect(ids()).toEqual(['a']);
  });

  it('one load is on its way once, whatever key is held', () => {
    const { outbox } = page(new Device(), {});
    outbox.add({ name: 'weigh', input: weighing('a', 'load 1') }, sunna);
    expect(isOnItsWay(outbox.waiting.get(), weighing('b', 'load 1'))).toBe(true);
    expect(isOnItsWay(outbox.waiting.get(), weighing('b', 'load 2'))).toBe(false);
  });

  it('what an earlier version kept are weighings, and are sent as such', async () => {
    const device = new Device();
    device.text = JSON.stringify([{ input: weighing('old'), actor: sunna, failures: 0, setAside: '' }]);
    const { outbox, sent } = page(device, {});
    expect(outbox.waiting.get()).toMatchObject([{ name: 'weigh' }]);
    await outbox.flush('sunna');
    expect(sent).toEqual(['old']);
  });

  it('steps and weighings go in the order in which they were done', async () => {
    const { outbox, sent } = page(new Device(), {});
    const step = { shareId: 's1' as ShareId, hand: 'left', step: 'ham-off', done: true } as const;
    outbox.add({ name: 'markStep', input: { ...step, clientId: 'a' } }, sunna);
    outbox.add({ name: 'weigh', input: weighing('b') }, sunna);
    outbox.add({ name: 'markStep', input: { ...step, clientId: 'c', done: false } }, sunna);
    await outbox.flush('sunna');
    expect(sent).toEqual(['a', 'b', 'c']);
  });

  it('whoever asks is given the answer, behind what was done before', async () => {
    const { outbox, sent, ids } = page(new Device(), { b: [failure('closed', 'This order is closed.')] });
    outbox.add({ name: 'weigh', input: weighing('a') }, sunna);
    const answer = await outbox.ask({ name: 'weigh', input: weighing('b') }, sunna);
    expect([sent, ids(), answer]).toEqual([['a', 'b'], [], failure('closed', 'This order is closed.')]);
  });

  it('whoever asks while the network is away is told that it is kept, and it is kept once', async () => {
    const away = () => failure('offline', 'away');
    const { outbox, ids } = page(new Device(), { a: [away(), away()] });
    const ask = () => outbox.ask({ name: 'weigh', input: weighing('a') }, sunna);
    expect(await ask()).toMatchObject({ reason: 'kept' });
    expect(await ask()).toMatchObject({ reason: 'kept' });
    expect(ids()).toEqual(['a']);
    await outbox.flush('sunna');
    expect(ids()).toEqual([]);
  });

  it('whoever asks for what the house fails at is told so, and it stands until it is seen', async () => {
    const broken = () => failure('unexpected', 'Say 1234.');
    const { outbox, ids } = page(new Device(), { a: [broken(), broken(), broken()] });
    const answer = await outbox.ask({ name: 'weigh', input: weighing('a') }, sunna);
    expect([answer, ids()]).toEqual([failure('unexpected', 'Say 1234.'), ['a']]);
  });

  it('two who ask at the same moment are both given their answers', async () => {
    const { outbox, sent } = page(new Device(), {});
    const asked = ['a', 'b', 'c'].map((id) => outbox.ask({ name: 'weigh', input: weighing(id) }, sunna));
    expect((await Promise.all(asked)).map(({ ok }) => ok)).toEqual([true, true, true]);
    expect(sent).toEqual(['a', 'b', 'c']);
  });

  it('what is kept but cannot be read is not a reason to stop', () => {
    const device = new Device();
    device.text = '{';
    expect(page(device, {}).ids()).toEqual([]);
  });
});
