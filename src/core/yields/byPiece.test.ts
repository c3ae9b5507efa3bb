import fc from 'fast-check';
import { partsOfSide } from '../block/pieces';
import type { PieceWeight } from '../block/work';
import { divideSides } from '../forecast/onTheBlock';
import { forecast } from '../forecast/forecast';
import { sumWeights, type Weight } from '../quantity/weight';
import { anyOrder } from '../tests/anySheet';
import { yieldByPiece } from './byPiece';

type Order = {
  situation: Parameters<typeof forecast>[0];
  sheet: Parameters<typeof forecast>[1];
  coldSides: Weight[];
};

/** A share cut as one hand, its packs as forecast, and some of its pieces weighed. */
function cutAsOne(order: Order, weighsMore: readonly number[]) {
  const hand = { id: 'both' as const, ...order };
  const lines = forecast(order.situation, order.sheet, order.coldSides).lines.map(
    ({ cut, kind, packaged }) => ({ cut, kind, packed: packaged }),
  );
  const parts = partsOfSide(order.situation, divideSides(order)[0]!.block.cells);
  const whole = parts.reduce((sum, { share }) => sum + share, 0);
  const cold = sumWeights(order.coldSides);
  const weighed = new Map<string, PieceWeight>(
    parts.slice(0, weighsMore.length).map(({ id, share }, at) => {
      const net = Math.floor((cold * share * weighsMore[at]!) / whole);
      return [id, { piece: id, net, counts: true } as unknown as PieceWeight];
    }),
  );
  return { given: yieldByPiece([{ hand, weighed }], lines), lines, parts, weighed, cold };
}

const sumOf = (cuts: readonly { packed: Weight }[]) => sumWeights(cuts.map(({ packed }) => packed));

describe('what each piece of a share gave', () => {
  it('adds up to all packs, and to the cold weight, whatever was weighed on the block', () => {
    fc.assert(
      fc.property(
        anyOrder,
        fc.array(fc.double({ min: 0.2, max: 1, noNaN: true }), { maxLength: 12 }),
        (order, more) => {
          const { given, lines, parts, weighed, cold } = cutAsOne(order, more);
          const packed = sumWeights([...given.pieces.map(({ cuts }) => sumOf(cuts)), sumOf(given.besides)]);
          expect(packed).toBe(sumOf(lines));
          expect(sumWeights(given.pieces.map((piece) => piece.cold))).toBe(cold);
          expect(given.pieces.map(({ piece }) => piece)).toEqual(parts.map(({ id }) => id));
          const all = weighed.size === parts.length;
          for (const piece of given.pieces) {
            expect(piece.cold).toBeGreaterThanOrEqual(0);
            if (piece.isWeighed && !all) expect(piece.cold).toBe(weighed.get(piece.piece)!.net);
          }
        },
      ),
      { numRuns: 200, seed: 20261127 },
    );
  });

  it('gives every cut that the plan takes from the animal to a piece', () => {
    fc.assert(
      fc.property(anyOrder, (order) => {
        const { given, lines } = cutAsOne(order, []);
        const cut = new Set(lines.filter(({ kind }) => kind === 'cut').map((line) => line.cut));
        expect(given.besides.filter((each) => cut.has(each.cut))).toEqual([]);
      }),
      { numRuns: 200, seed: 20261127 },
    );
  });
});
