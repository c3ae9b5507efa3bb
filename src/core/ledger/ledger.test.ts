import fc from 'fast-check';
import type { Weight } from '../quantity/weight';
import {
  adjustment,
  balanced,
  balanceOf,
  balanceOfKind,
  balances,
  cureAccount,
  gapOf,
  move,
  postClosing,
  postToBlock,
  postWeighing,
  reversed,
  sideStanding,
  UnbalancedTransactionError,
  type Posting,
  type WeighingPurpose,
} from './ledger';

const pounds = (units: number) => Math.round(units * 1000) as Weight;
const share = { kind: 'share', owner: 's1' } as const;

function posted(purpose: WeighingPurpose, net: Weight, id = 'w1'): readonly Posting[] {
  const postings = postWeighing({ shareId: 's1', weighingId: id, purpose, net });
  if (!postings.ok) throw new Error(postings.message);
  return postings.value;
}

describe('a weight transaction', () => {
  it('adds up to zero or is refused with the gap', () => {
    const crooked: Posting[] = [
      { ...share, weight: pounds(-3) },
      { kind: 'bone', owner: 's1', weight: pounds(2.9) },
    ];
    expect(() => balanced(crooked)).toThrow(UnbalancedTransactionError);
    expect(() => balanced(crooked)).toThrow('off by -0.100');
    try {
      balanced(crooked);
    } catch (error) {
      expect((error as UnbalancedTransactionError).gap).toBe(-100);
    }
  });

  it('moves something between two accounts', () => {
    expect(() => balanced([])).toThrow(/two or more/);
    expect(() => move(share, { kind: 'bone', owner: 's1' }, 0 as Weight)).toThrow(/other than zero/);
    expect(() => move(share, { kind: 'bone', owner: 's1' }, 1.5 as Weight)).toThrow(/whole weights/);
  });

  it('is undone by one that leaves no account changed', () => {
    const there = move(share, { kind: 'tub', owner: 's1' }, pounds(8.6));
    const all = [...there, ...reversed(there)];
    expect(balanceOfKind(all, 'share')).toBe(0);
    expect(balanceOfKind(all, 'tub')).toBe(0);
    expect(balances(all)).toEqual([]);
  });

  it('adds up account by account, two owners of a kind apart', () => {
    const tub = { kind: 'tub', owner: 's1' } as const;
    const other = { kind: 'tub', owner: 's2' } as const;
    const all = [
      ...move(share, tub, pounds(3)),
      ...move(share, other, pounds(2)),
      ...move(tub, other, pounds(1)),
    ];
    expect(balances(all)).toEqual([
      { ...share, weight: pounds(-5) },
      { ...tub, weight: pounds(2) },
      { ...other, weight: pounds(3) },
    ]);
  });
});

describe('the tickets of a side', () => {
  it('hot: the side hangs; cold: the air took the difference', () => {
    expect(sideStanding('a', pounds(92.5), undefined)).toEqual([
      { kind: 'intake', owner: 'a', weight: pounds(-92.5) },
      { kind: 'side', owner: 'a', weight: pounds(92.5) },
    ]);
    const cold = adjustment(
      sideStanding('a', pounds(92.5), undefined),
      sideStanding('a', pounds(92.5), pounds(91)),
    );
    expect(cold).toEqual([
      { kind: 'side', owner: 'a', weight: pounds(-1.5) },
      { kind: 'shrink', owner: 'a', weight: pounds(1.5) },
    ]);
  });

  it('weighed again the same, change nothing', () => {
    const standing = sideStanding('a', pounds(92.5), pounds(91));
    expect(adjustment(standing, standing)).toEqual([]);
  });

  it('corrected however often, stand as the last tickets say', () => {
    const anyTicket = fc
      .tuple(
        fc.integer({ min: 1, max: 200_000 }),
        fc.option(fc.integer({ min: 0, max: 1000 }), { nil: undefined }),
      )
      .map(([hot, shrunk]) => ({
        hot: hot as Weight,
        cold: shrunk === undefined ? undefined : (Math.max(1, hot - shrunk) as Weight),
      }));
    fc.assert(
      fc.property(fc.array(anyTicket, { minLength: 1, maxLength: 8 }), (tickets) => {
        const book: Posting[] = [];
        for (const { hot, cold } of tickets) {
          const standing = ['intake', 'side', 'shrink'].map((kind) => ({
            kind: kind as 'side',
            owner: 'a',
            weight: balanceOf(book, { kind: kind as 'side', owner: 'a' }),
          }));
          book.push(...adjustment(standing, sideStanding('a', hot, cold)));
        }
        const last = tickets.at(-1)!;
        expect(balanceOf(book, { kind: 'side', owner: 'a' })).toBe(last.cold ?? last.hot);
        expect(balanceOf(book, { kind: 'intake', owner: 'a' })).toBe(-last.hot);
        expect(gapOf(book)).toBe(0);
      }),
    );
  });
});

describe('a weighing', () => {
  it.each<[WeighingPurpose, Posting['kind'], Posting['kind'], string]>([
    [{ kind: 'package', from: 'share', lineKey: 'butt.0.0' }, 'share', 'package', 'w1'],
    [{ kind: 'package', from: 'tub', lineKey: 'grind.0' }, 'tub', 'package', 'w1'],
    [{ kind: 'package', from: 'cure', lineKey: 'ham.0.0' }, 'cure', 'package', 'w1'],
    [{ kind: 'green', lineKey: 'ham.0.0' }, 'share', 'cure', 's1/ham.0.0'],
    [{ kind: 'package', from: 'batch', lineKey: 'grind.0' }, 'batch', 'package', 'w1'],
    [{ kind: 'green', from: 'batch', lineKey: 'grind.0' }, 'batch', 'cure', 's1/grind.0'],
    [{ kind: 'tub' }, 'share', 'tub', 's1'],
    [{ kind: 'barrel', barrel: 'bone' }, 'share', 'bone', 's1'],
  ])('%j goes from %s to %s', (purpose, from, to, owner) => {
    const [out, into] = posted(purpose, pounds(2));
    expect(out).toMatchObject({ kind: from, weight: pounds(-2) });
    expect(into).toEqual({ kind: to, owner, weight: pounds(2) });
  });

  it('of nothing is refused', () => {
    expect(
      postWeighing({ shareId: 's1', weighingId: 'w1', purpose: { kind: 'tub' }, net: 0 as Weight }),
    ).toMatchObject({
      ok: false,
      reason: 'nothing-on-the-scale',
    });
  });
});

describe('closing a share', () => {
  it('turns what is left into unaccounted, grinder and cure, and empties the open accounts', () => {
    const book = [
      ...postToBlock('a', 's1', pounds(10)),
      ...posted({ kind: 'tub' }, pounds(4)),
      ...posted({ kind: 'package', from: 'tub', lineKey: 'grind.0' }, pounds(3.9)),
      ...posted({ kind: 'green', lineKey: 'ham.0.0' }, pounds(5), 'w2'),
      ...posted({ kind: 'package', from: 'cure', lineKey: 'ham.0.0' }, pounds(5.2), 'w3'),
    ];
    const open: Posting[] = [
      { ...share, weight: balanceOf(book, share) },
      { kind: 'tub', owner: 's1', weight: balanceOf(book, { kind: 'tub', owner: 's1' }) },
      { ...cureAccount('s1', 'ham.0.0'), weight: balanceOf(book, cureAccount('s1', 'ham.0.0')) },
      { kind: 'package', owner: 'w1', weight: pounds(3.9) },
    ];
    const closed = [...book, ...postClosing('s1', open)];
    expect(balanceOfKind(closed, 'unaccounted')).toBe(pounds(1));
    expect(balanceOfKind(closed, 'grinder')).toBe(pounds(0.1));
    expect(balanceOfKind(closed, 'cure-change')).toBe(pounds(-0.2));
    for (const kind of ['share', 'tub', 'cure'] as const) expect(balanceOfKind(closed, kind)).toBe(0);
  });

  it('with nothing open posts nothing', () => {
    expect(postClosing('s1', [{ ...share, weight: 0 as Weight }])).toEqual([]);
  });
});

describe('any day at the bench', () => {
  const anyPurpose = fc.constantFrom<WeighingPurpose>(
    { kind: 'package', from: 'share', lineKey: 'a' },
    { kind: 'package', from: 'tub', lineKey: 'b' },
    { kind: 'package', from: 'batch', lineKey: 'd' },
    { kind: 'package', from: 'cure', lineKey: 'c' },
    { kind: 'green', lineKey: 'c' },
    { kind: 'tub' },
    { kind: 'barrel', barrel: 'fat' },
  );
  const anyWeighing = fc.record({
    purpose: anyPurpose,
    net: fc.integer({ min: 1, max: 30_000 }),
    voided: fc.boolean(),
  });

  it('makes and loses not one thousandth, voids and closing included', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200_000 }),
        fc.array(anyWeighing, { maxLength: 40 }),
        (cold, day) => {
          const book: Posting[] = [...postToBlock('a', 's1', cold as Weight)];
          day.forEach(({ purpose, net, voided }, index) => {
            const postings = posted(purpose, net as Weight, `w${index}`);
            book.push(...postings);
            if (voided) book.push(...reversed(postings));
          });
          const accounts = new Map(book.map((posting) => [`${posting.kind} ${posting.owner}`, posting]));
          const held = [...accounts.values()].map((posting) => ({
            ...posting,
            weight: balanceOf(book, posting),
          }));
          book.push(...postClosing('s1', held));
          const inside = book.filter((posting) => posting.kind !== 'side');
          expect(gapOf(inside)).toBe(cold);
          expect(gapOf(book)).toBe(0);
          const packed = day
            .filter(({ purpose, voided }) => purpose.kind === 'package' && !voided)
            .reduce((sum, { net }) => sum + net, 0);
          expect(balanceOfKind(book, 'package')).toBe(packed);
        },
      ),
      { numRuns: 1000, seed: 20261124 },
    );
  });
});
