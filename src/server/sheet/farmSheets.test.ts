import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { wantedJob } from '@/core/goals/wantedJob';
import { answered, form, house } from '@/core/tests/halfHog';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
let ids: ShareId[];
let farmId: string;
beforeEach(async () => {
  shop = await TestShop.open();
  const [left, right] = hogDocument().shares;
  const shares = [left!, right!];
  const animal = (tag: string) => ({ ...hogDocument().animal, tag });
  const first = await shop.book(hogDocument({ shares }));
  const second = await shop.book(
    hogDocument({ shares: [{ part: 'whole', owner: { name: 'Edda Wrathall' } }], animal: animal('H901') }),
  );
  ids = [...first, ...second].map(({ share }) => share.id);
  farmId = first[0]!.animal.farm.id;
});
afterEach(() => shop.close());

const view = async () => (await shop.get('farmSheetsView', { personId: farmId as never })).species[0]!;
const copy = (toShareIds: ShareId[], rows: string[] = []) =>
  shop.ask('copySheet', { clientId: randomUUID(), fromShareId: ids[0]!, toShareIds, rows });

describe('the sheets of a farm', () => {
  it('stand side by side with what they give together', async () => {
    const { shares, cuts, rows } = await view();
    expect(shares.map(({ stands }) => stands)).toEqual(['to approve', 'no sheet', 'no sheet']);
    expect(rows.at(-1)).toEqual({ id: 'extras', title: 'Wrap, extras' });
    const chops = cuts.find(({ cut }) => cut.startsWith('Rib and loin chops'))!;
    expect(chops.of).toEqual({ [ids[0]!]: chops.packs });
  });

  it('one is given to the others, and a whole animal gives twice as much', async () => {
    expect(await copy([ids[1]!, ids[2]!])).toEqual({ ok: true, value: { gone: [] } });
    const { shares, cuts } = await view();
    expect(shares.map(({ stands }) => stands)).toEqual(['to approve', 'to approve', 'to approve']);
    expect(shares[1]!.says).toEqual(shares[0]!.says);
    const roast = cuts.find(({ cut }) => cut.startsWith('Butt roast'))!;
    expect(roast.packs).toBe(Object.values(roast.of).reduce((sum, each) => sum + each, 0));
    expect(roast.of[ids[2]!]).toBeGreaterThan(roast.of[ids[0]!]!);
  });

  it('some rows alone are given, the rest and the words for the cutter stay', async () => {
    const own = { ...answered(house, 'ham', form('ham', 'grind')), instructions: 'Ring first' };
    await shop.get('saveSheet', { shareId: ids[1]!, baseVersion: 0, sheet: own });
    await shop.get('saveSheet', {
      shareId: ids[0]!,
      baseVersion: 1,
      sheet: answered(house, 'butt', form('butt', 'steaks')),
    });
    await copy([ids[1]!], ['butt']);
    const { sheet } = await shop.file(ids[1]!);
    expect(sheet!.sheet).toMatchObject({
      instructions: 'Ring first',
      answers: { butt: { forms: [{ option: 'steaks' }] }, ham: { forms: [{ option: 'grind' }] } },
    });
  });

  it('all of them or none: an approved one refuses the whole copy', async () => {
    await shop.get('saveSheet', { shareId: ids[1]!, baseVersion: 0, sheet: house });
    await shop.get('approveSheet', {
      clientId: randomUUID(),
      shareId: ids[1]!,
      version: 1,
      overrideReason: '',
    });
    expect(await copy([ids[2]!, ids[1]!])).toMatchObject({ reason: 'approved' });
    expect((await shop.file(ids[2]!)).sheet).toBeUndefined();
    const [beef] = await shop.book(
      hogDocument({ animal: { ...hogDocument().animal, species: 'beef', tag: 'B901' } }),
    );
    expect(await copy([beef!.share.id])).toMatchObject({ reason: 'not-that-animal' });
  });
});

describe('what sells', () => {
  const wants = [{ cut: 'Blade steaks, bone-in', packs: 4, inFreezer: 1 }];
  const divided = async () => {
    const job = await shop.get('wantedView', { personId: farmId as never, species: 'hog', wants });
    return wantedJob(structuredClone(job));
  };

  it('is divided over the sheets that there are, and taken in one', async () => {
    await copy([ids[2]!]);
    const { gives, changes } = await divided();
    expect(gives[0]!.then).toBeGreaterThanOrEqual(3);
    expect(changes.map(({ title, says }) => [title, says])).toContainEqual([
      'Butt',
      expect.stringMatching(/steaks/),
    ]);
    const asked = changes.map(({ shareId, version, decision, answer }) => ({
      shareId: shareId as ShareId,
      version,
      decision,
      answer,
    }));
    await shop.get('changeRows', { clientId: randomUUID(), changes: asked });
    const { cuts } = await view();
    expect(cuts.find(({ cut }) => cut === 'Blade steaks, bone-in')!.packs).toBe(gives[0]!.then);
    // What was looked at is not there any more.
    expect(await shop.ask('changeRows', { clientId: randomUUID(), changes: asked })).toMatchObject({
      reason: 'changed-elsewhere',
    });
  });

  it('changes nothing at all where one of the sheets is approved meanwhile', async () => {
    await copy([ids[1]!]);
    const answer = { forms: [{ option: 'grind', amount: { kind: 'rest' as const }, params: {} }] };
    const row = (shareId: ShareId, version: number) => ({ shareId, version, decision: 'ham', answer });
    await shop.get('approveSheet', {
      clientId: randomUUID(),
      shareId: ids[1]!,
      version: 1,
      overrideReason: '',
    });
    const changes = [row(ids[0]!, 1), row(ids[1]!, 2)];
    expect(await shop.ask('changeRows', { clientId: randomUUID(), changes })).toMatchObject({ ok: false });
    expect((await shop.file(ids[0]!)).sheet!.version).toBe(1);
  });
});
