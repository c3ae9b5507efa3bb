import { inUnits, weight } from '../quantity/weight';
import { speciesById } from '../tests/catalogue';
import { expectNear, workedSheet, type WorkedCut } from '../tests/workedCut';
import { forecast } from './forecast';
import worked from './worked-lamb.fixture.json';

type Rule = { lean_trim: number; fat_trim: number; bone_out: number };
type FixtureCut = {
  cut: string;
  kerf: number;
  boned: boolean;
  atoms: { id: string; fraction: number; rule: string | Rule }[];
};

/** The lamb as the worked examples state it: the atlas, and their own constants. */
const lamb = speciesById('lamb');
const asStated = {
  ...lamb,
  cutting: { ...lamb.cutting, shrinkShare: worked.constants.drip_fraction, packShrinkShare: 0 },
  shifts: { ...lamb.shifts, perSideLb: {}, perSideLbUnknownFatness: {} },
};

/** Pieces whose rule is a word go where the atlas sends what nobody claims. */
function workedCut({ cut, kerf, boned, atoms }: FixtureCut): WorkedCut {
  const kept = atoms.filter((atom): atom is typeof atom & { rule: Rule } => typeof atom.rule !== 'string');
  return {
    cut,
    boned,
    trim: { lean: 0, fat: 0, bone: 0, skin: 0 },
    ...(kerf > 0 ? { saw: { dustShare: kerf } } : {}),
    claims: kept.map(({ id, fraction, rule }) => ({
      atom: id,
      share: fraction,
      trim: { lean: rule.lean_trim, fat: rule.fat_trim, bone: rule.bone_out },
    })),
  };
}

describe.each(worked.examples.map((example) => [example.name, example] as const))(
  'worked lamb %s',
  (_, example) => {
    const cuts = (example.inputs.sheet as FixtureCut[]).map(workedCut).filter((cut) => cut.claims.length > 0);
    const { situation, sheet } = workedSheet(asStated, cuts, 2);
    const side = weight(example.inputs.side_lb);
    const result = forecast(situation, { ...sheet, grind: { ...sheet.grind, fatPct: 20 } }, [side, side]);
    const { outputs } = example;

    it.each(outputs.cuts.map((cut) => [cut.cut, cut.lb] as const))('%s: %d lb', (cut, lb) => {
      expectNear(inUnits(result.lines.find((line) => line.cut === cut)!.packaged), lb);
    });

    it('ends where the example ends', () => {
      const { pool, losses } = result;
      expectNear(inUnits(pool.grind), outputs.grind_lb);
      expectNear(inUnits(pool.lean), outputs.lean_to_grind_lb);
      expectNear(inUnits(pool.fat), outputs.fat_offered_lb);
      expectNear(inUnits(pool.fatUsed), outputs.fat_used_lb);
      expectNear(pool.fatPct, outputs.grind_total_fat_pct);
      expectNear(inUnits(losses.fat), outputs.fat_out_lb);
      expectNear(inUnits(losses.bone), outputs.bone_out_lb);
      expectNear(inUnits(losses.inedible), outputs.other_waste_lb);
      expectNear(inUnits(losses.cuttingShrink), outputs.loss_detail.drip);
      expectNear(inUnits(losses.kerf), outputs.loss_detail.kerf);
      expectNear(inUnits(losses.grinder), outputs.loss_detail.grinder);
      expectNear(inUnits(result.takeHome), outputs.packaged_total_lb);
    });
  },
);

describe('the rack of a lamb', () => {
  const share = (from: number, to: number) => {
    const rack = ['longissimus-rib', 'rack-cap', 'rib-finger-meat', 'rack-chine', 'rib-bones-dorsal'];
    const loin = ['longissimus-lumbar', 'loin-apron', 'lumbar-vertebrae'];
    const of = (id: string) => lamb.atlas.atoms.find((atom) => atom.id === id)!.sharePct;
    const ribs = Math.min(to, 12) - from + 1;
    const cartilage = (of('blade-cartilage') * (7 - from + 1)) / 3;
    const thirteenth = to === 13 ? of('rib-13') + loin.reduce((sum, id) => sum + of(id) / 7, 0) : 0;
    return rack.reduce((sum, id) => sum + (of(id) * ribs) / 8, 0) + cartilage + thirteenth;
  };

  it.each(Object.entries(worked.rack_zone_by_break))('%s has its share of the side', (ribs, zone) => {
    const [from, to] = ribs.match(/\d+/g)!.map(Number);
    expect(share(from!, to!)).toBeCloseTo(zone.share_pct, 2);
  });
});
