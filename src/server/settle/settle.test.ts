import { randomUUID } from 'node:crypto';
import { PDFDocument, PDFName, PDFRawStream } from 'pdf-lib';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import { sumCents } from '@/core/quantity/money';
import type { Weight } from '@/core/quantity/weight';
import type { ShareId } from '@/core/order/animal';
import { planOf } from '@/core/order/standing';
import { statementPdf } from '@/papers/statement';
import { packAll as packAllOf } from '../tests/packAll';
import { TestShop } from '../tests/testShop';

/** A photograph of one point. */
const DOT =
  '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wgALCAABAAEBAREA/8QAFBABAAAAAAAAAAAAAAAAAAAAAP/aAAgBAQABPxA=';

let shop: TestShop;
let shareId: ShareId;
beforeEach(async () => {
  shop = await TestShop.open();
  shareId = await shop.onTheBlock();
});
afterEach(() => shop.close());

const close = (note = '', role: 'owner' | 'counter' = 'owner') =>
  shop.ask('closeShare', { clientId: randomUUID(), shareId, note }, role);
const pay = (amountCents: number, clientId = randomUUID()) =>
  shop.ask('takePayment', { clientId, shareId, amountCents, method: 'card' });
const handOver = (role: 'owner' | 'counter') =>
  shop.ask('handOver', { clientId: randomUUID(), shareId, takenBy: 'Ottilie' }, role);
const weigh = (purpose: WeighingPurpose, net: number) =>
  shop.get('weigh', { ...shop.weighing(shareId, purpose, Math.round(net)), sure: true });

/** Weighs everything as it was forecast; `short` leaves that much of the fat barrel unweighed. */
const packAll = (said: { finished?: boolean; short?: number } = {}) => packAllOf(shop, shareId, said);

describe('closing the balance', () => {
  it('waits for what is asked and neither packed nor explained', async () => {
    expect(await close()).toMatchObject({ reason: 'still-due' });
  });

  it('waits for what lies in cure', async () => {
    await packAll({ finished: false });
    const refused = await close();
    expect(refused).toMatchObject({ reason: 'in-cure' });
    expect(refused.ok || refused.message).toContain('Bacon, smoked, sliced');
  });

  it('takes an explanation for what is not packed', async () => {
    await packAll({ finished: false });
    const { lines } = planOf(await shop.file(shareId)).expected;
    for (const line of lines.filter((each) => each.cure)) {
      const note = {
        clientId: randomUUID(),
        shareId,
        lineKey: line.key,
        note: 'Went home green, at their wish',
      };
      await shop.get('noteLine', note);
      await shop.get('noteLine', note);
    }
    expect(await shop.db('lineNotes')).toHaveLength(lines.filter((each) => each.cure).length);
    expect(await close()).toMatchObject({ ok: true });
  });

  it('with usual weight missing needs no note, with more it does', async () => {
    await packAll({ short: 3_000 });
    const refused = await close();
    expect(refused).toMatchObject({ reason: 'needs-a-note', field: 'note' });
    expect(refused.ok || refused.message).toMatch(/^\d\.\d\d % is unaccounted/);
    expect(await close(' . ')).toMatchObject({ reason: 'invalid' });
    expect(await close('A bag of fat went to the neighbour’s dog')).toMatchObject({ ok: true });
  });

  it('that has to be investigated is closed by the owner alone', async () => {
    await packAll({ short: 6_000 });
    expect(await close('A bag of fat is gone', 'counter')).toMatchObject({ reason: 'not-allowed' });
    expect(await close('A bag of fat is gone', 'owner')).toMatchObject({ ok: true });
  });

  it('freezes bill and balance: nothing is left open, nothing more is weighed', async () => {
    await packAll();
    const before = (await shop.get('balanceView', { shareId })).reconciliation;
    await close();
    const after = await shop.get('balanceView', { shareId });
    expect(after.reconciliation).toMatchObject({
      unaccounted: before.unaccounted,
      boxes: before.boxes,
      inTub: 0,
      inCure: 0,
    });
    expect(await shop.ask('weigh', shop.weighing(shareId, { kind: 'tub' }, 500))).toMatchObject({
      reason: 'closed',
    });
    expect(await close()).toMatchObject({ ok: true });
    expect(await shop.db('closings')).toHaveLength(1);
  });
});

describe('the final bill', () => {
  it('stands on what was weighed; the estimate stays beside it with the difference explained', async () => {
    await packAll();
    await weigh({ kind: 'package', from: 'share', lineKey: 'center-loin.0.0' }, 400);
    await close();
    const view = await shop.get('settleView', { shareId });
    const { packs } = planOf(await shop.file(shareId)).expected.lines.find(
      (line) => line.decision === 'belly',
    )!;
    expect(view.final).toBe(true);
    expect(sumCents(view.bill.lines.map((line) => line.amount))).toBe(view.bill.due);
    expect(view.differences.find((each) => each.label === 'Vacuum bags')!.sentence).toMatch(
      /^Estimated on (\d+) packages; it came to (\d+) packages\.$/,
    );
    expect(view.packs.find((pack) => pack.cut.startsWith('Bacon'))).toMatchObject({ packs });
    expect(view.due).toBe(view.bill.due);
  });

  it('charges cure and smoke on the green weight', async () => {
    await packAll();
    await close();
    const { bill, reconciliation } = await shop.get('settleView', { shareId });
    const green = reconciliation.lines.reduce((sum, line) => sum + line.green, 0) as Weight;
    const smoking = bill.lines.find((line) => line.rule === 'smoking')!;
    expect(smoking.quantity).toBe(`${(Math.round(green / 10) / 100).toFixed(2)} lb green`);
  });
});

describe('money and boxes', () => {
  it('are not taken before the bill is final', async () => {
    expect(await pay(100)).toMatchObject({ reason: 'not-closed' });
    expect(await handOver('owner')).toMatchObject({ reason: 'not-closed' });
  });

  it('a payment counts once, in parts, never more than is due', async () => {
    await packAll();
    await close();
    const { due } = await shop.get('settleView', { shareId });
    const press = randomUUID();
    await pay(5_000, press);
    await pay(5_000, press);
    expect(await pay(due)).toMatchObject({ reason: 'too-much' });
    expect(await pay(due - 5_000)).toMatchObject({ ok: true });
    expect(await shop.get('settleView', { shareId })).toMatchObject({ due: 0, paid: due });
  });

  it('money goes back up to what was paid, and no further', async () => {
    await packAll();
    await close();
    expect(await pay(-50_000)).toMatchObject({ reason: 'too-much' });
    await pay(5_000);
    expect(await pay(-5_001)).toMatchObject({ reason: 'too-much' });
    expect(await pay(-5_000)).toMatchObject({ ok: true });
    expect(await pay(-1)).toMatchObject({ reason: 'too-much' });
  });

  it('are nothing that the floor sees', async () => {
    await packAll();
    await close();
    const fact = async (role: 'wrapper' | 'counter') =>
      (await shop.get('stageView', { stage: 'settle', page: 0 }, role)).tickets[0]!.fact;
    expect(await fact('counter')).toMatch(/^\$\d+\.\d\d due$/);
    expect(await fact('wrapper')).toBe('at the counter');
  });

  it('unpaid boxes leave with the owner’s word only', async () => {
    await packAll();
    await close();
    expect(await handOver('counter')).toMatchObject({ reason: 'not-paid' });
    expect(await handOver('owner')).toMatchObject({ ok: true });
    expect(await handOver('owner')).toMatchObject({ ok: true });
    expect((await shop.get('settleView', { shareId })).pickUp).toMatchObject({ takenBy: 'Ottilie' });
    const [ticket] = (await shop.get('stageView', { stage: 'gone', page: 0 })).tickets;
    expect(ticket).toMatchObject({ stage: null, fact: 'picked up by Ottilie, 2026-11-24' });
  });
});

describe('the statement', () => {
  it('is a PDF that holds any name, however it is spelled', async () => {
    await packAll();
    await close();
    const view = await shop.get('statementView', { shareId });
    const bytes = await statementPdf({ ...view, name: 'Þóra Łęcka 肉, left half' });
    const pdf = await PDFDocument.load(bytes);
    expect(pdf.getTitle()).toBe('Statement for Þóra Łęcka 肉, left half');
    expect(pdf.getPageCount()).toBeGreaterThan(1);
    expect(bytes.length).toBeGreaterThan(10_000);
  });

  it('shows the photograph of what was found; one that is damaged is left out', async () => {
    const sideId = (await shop.file(shareId)).sides[0]!.side.id;
    const found = { clientId: randomUUID(), sideId, kind: 'bruise', decision: 'ham', weight: 400 } as const;
    await shop.get('noteFound', {
      ...found,
      measure: null,
      note: '',
      photo: `data:image/jpeg;base64,${DOT}`,
    });
    await packAll();
    await close();
    const view = await shop.get('statementView', { shareId });
    expect([...view.photos.keys()]).toEqual([view.notes[0]!.photoId]);
    const images = async (paper: typeof view) => {
      const pdf = await PDFDocument.load(await statementPdf(paper));
      const isImage = ([, each]: readonly [unknown, unknown]) =>
        each instanceof PDFRawStream && each.dict.get(PDFName.of('Subtype')) === PDFName.of('Image');
      return pdf.context.enumerateIndirectObjects().filter(isImage).length;
    };
    expect(await images(view)).toBe(1);
    const damaged = new Map([...view.photos.keys()].map((id) => [id, new Uint8Array([1, 2, 3])]));
    expect(await images({ ...view, photos: damaged })).toBe(0);
  });
});

it('what was finished is worked under another list by what was really packed, and billed as it was', async () => {
  const { id: besideId } = (await shop.file(shareId)).priceList;
  const under = (listId: string) => shop.get('yearView', { listId, besideId });
  expect((await under(besideId)).whole.shares).toBe(0);
  await packAll();
  expect(await close()).toMatchObject({ ok: true });
  const { closing } = await shop.file(shareId);
  const same = await under(besideId);
  expect(same.whole).toMatchObject({ shares: 1, was: closing!.bill.total, now: closing!.bill.total });

  const started = { clientId: randomUUID(), baseId: besideId, name: 'Dearer', effectiveFrom: '2099-02-01' };
  const { draftId } = await shop.get('startPriceList', started);
  const change = { kind: 'rate' as const, rule: 'cut-and-wrap', rateCents: 108 };
  await shop.get('changePrices', { clientId: randomUUID(), draftId, change });
  const dearer = await under(draftId);
  // Ten cents more on the hot weight of a side.
  const hot = closing!.bill.lines.find(({ rule }) => rule === 'cut-and-wrap')!;
  expect(dearer.species).toHaveLength(1);
  expect(dearer.whole.now - dearer.whole.was).toBe(Math.round((hot.amount / 98) * 108) - hot.amount);
  expect(dearer.most).toEqual(dearer.least);
  expect((await shop.file(shareId)).closing!.bill).toEqual(closing!.bill);
});
