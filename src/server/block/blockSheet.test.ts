import { randomUUID } from 'node:crypto';
import { PDFDocument } from 'pdf-lib';
import { formOf } from '@/core/sheet/houseSheet';
import { decisionById } from '@/core/sheet/situation';
import { blockSheetPdf } from '@/papers';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const animal = (species: string) => ({
  tag: 'X1',
  species,
  killDate: '2026-11-10',
  inspection: 'custom-exempt' as const,
});
const owner = { name: 'Ottilie Brandreth', phone: '555 0199' };
const bookWhole = async (species: string) => {
  const shares = [{ part: 'whole' as const, owner, sheet: { houseForTheRest: true } }];
  const [file] = await shop.book(hogDocument({ animal: animal(species), shares }));
  return file!;
};

describe('the paper for the block', () => {
  it('has a page for each quarter of a beef, with the breaks of that quarter, in the order of the break', async () => {
    const { share, situation } = await bookWhole('beef');
    const { pages } = await shop.get('blockSheetView', { shareId: share.id }, 'cutter');
    expect(pages.map(({ title }) => title)).toEqual([
      'X1 left, fore quarter',
      'X1 left, hind quarter',
      'X1 right, fore quarter',
      'X1 right, hind quarter',
    ]);
    const [fore, hind] = pages;
    expect(fore!.breaks).toEqual([
      'Quartering: between ribs 12 and 13',
      'Chuck from rib: between ribs 5 and 6',
    ]);
    expect(hind!.breaks).toHaveLength(2);
    expect(hind!.first.map(({ title }) => title)).toContain('Hanging tender');
    const { decisions } = situation.species;
    const stepOf = (title: string) => decisions.find((each) => each.title === title)!.step;
    for (const { rows, first } of pages) {
      for (const list of [rows, first]) {
        const places = list.map(({ title }) => stepOf(title));
        expect(places).toEqual([...places].sort((a, b) => a - b));
      }
    }
    const named = [fore!, hind!].flatMap(({ first, rows }) => [...first, ...rows]).map(({ title }) => title);
    expect(new Set(named)).toEqual(new Set(decisions.map(({ title }) => title)));
  });

  it('says thickness, what goes to the grind, what is left alone, and how the other side differs', async () => {
    const { share, situation, sheet } = await bookWhole('hog');
    const loin = decisionById(situation.species, 'center-loin');
    const rack = loin.options.find(({ id }) => id.startsWith('rack'))!;
    const ground = formOf(decisionById(situation.species, 'neck-bones'), 'grind', situation);
    const changed = {
      ...sheet!.sheet,
      instructions: 'Ring before the hams are cured',
      answers: { ...sheet!.sheet.answers, 'neck-bones': { forms: [ground] } },
      secondSide: { 'center-loin': { forms: [formOf(loin, rack.id, situation)] } },
    };
    await shop.get('saveSheet', { shareId: share.id, baseVersion: sheet!.version, sheet: changed });
    const paper = await shop.get('blockSheetView', { shareId: share.id });
    const [left, right] = paper.pages;
    const row = (page: typeof left, title: string) => page!.rows.find((each) => each.title === title)!;
    expect(paper).toMatchObject({ words: 'Ring before the hams are cured', isApproved: false });
    expect(paper.stands).toMatch(/^NOT APPROVED/);
    expect(row(left, 'Center loin').forms[0]!.sizes).toContain('1 in thick');
    expect(row(left, 'Center loin').otherSide).toBe(rack.label);
    expect(row(right, 'Center loin').forms[0]!.says).toBe(rack.label);
    expect(row(left, 'Neck bones')).toMatchObject({ isGround: true, count: '' });
    expect(row(left, 'Ham').count).toMatch(/^about \d+ pieces? in \d+ packs?, both sides$/);
    expect(left!.protect.join(' ')).toMatch(/ and center loin \(chops, bone-in\), not for back ribs/);
  });

  it('says neither prices nor telephone numbers, and once approved that it is', async () => {
    const { share, sheet } = await bookWhole('hog');
    const approve = { shareId: share.id, version: sheet!.version, overrideReason: '' };
    await shop.get('approveSheet', { clientId: randomUUID(), ...approve });
    const paper = await shop.get('blockSheetView', { shareId: share.id }, 'cutter');
    expect(paper.stands).toBe('approved');
    expect(JSON.stringify(paper)).not.toMatch(/\$|555/);
  });

  it.each(['hog', 'beef', 'lamb', 'bison', 'goat'])(
    'of a whole %s is one sheet of paper for each quarter or side',
    async (species) => {
      const { share } = await bookWhole(species);
      const sheet = await shop.get('blockSheetView', { shareId: share.id });
      const address = `http://localhost:3000/ticket/${share.id}`;
      const pdf = await PDFDocument.load(await blockSheetPdf({ sheet, address }));
      expect(pdf.getPageCount()).toBe(sheet.pages.length);
    },
  );
});
