import { PDFDocument } from 'pdf-lib';
import { demoPrices } from '@/core/tests/prices';
import { blankSheetOf } from '@/core/order/blankSheet';
import { allSpecies } from '@/core/tests/catalogue';
import { blankSheetPdf, confirmationPdf, sheetCopyPdf } from '.';

const LETTER = { width: 612, height: 792 };

describe('the blank sheet', () => {
  it.each(allSpecies().map((species) => [species.name, species] as const))(
    'of %s has every answer with its price, and fits plain paper',
    async (_, species) => {
      const situation = { species, unit: 'lb' as const, sides: 1 as const, addOns: [], tools: ['band-saw'] };
      const blank = blankSheetOf(situation, { shopName: 'Skerry Sound', list: demoPrices.at(-1) });
      for (const { answers } of blank.decisions) {
        expect(answers.length).toBeGreaterThan(0);
        expect(answers.filter(({ house }) => house).length).toBeGreaterThan(0);
      }
      expect(blank.charges.join(' ')).toContain('Cut and wrap');
      const pdf = await PDFDocument.load(await blankSheetPdf(blank));
      const pages = pdf.getPages().map((page) => page.getSize());
      expect(pages.every(({ width, height }) => width === LETTER.width && height === LETTER.height)).toBe(
        true,
      );
      // Two leaves, printed on both sides.
      expect(pages.length).toBeLessThanOrEqual(4);
    },
  );
});

it('a confirmation is one page', async () => {
  const line = 'A left half of a hog, tag H112, raised by Low Tarn.';
  const said = {
    shopName: 'Skerry Sound',
    title: 'Order 7',
    booked: [line],
    stillToDo: [line],
    costs: [line],
    cautions: [line],
  };
  const pdf = await PDFDocument.load(await confirmationPdf(said));
  expect(pdf.getPageCount()).toBe(1);
});

it('a household’s copy of its sheet is one or two pages', async () => {
  const row = { title: 'Center loin', says: 'Chops, bone-in, 1 in' };
  const copy = {
    shopName: 'Skerry Sound',
    title: 'Ottilie Brandreth: left half of hog H112',
    approved: '24 Nov 12:00',
    rows: Array.from({ length: 25 }, () => row),
    words: 'Ring first',
    boxes: ['Loin chops: 12.1 lb in 17 packs'],
    home: 'Between 60 and 68 lb come home.',
    costs: 'About $210.00 to pay on the day.',
  };
  const pdf = await PDFDocument.load(await sheetCopyPdf(copy));
  expect([1, 2]).toContain(pdf.getPageCount());
});
