import { inUnits, weight } from '../quantity/weight';
import { speciesById } from '../tests/catalogue';
import type { ParamSpec, TrimRule } from '../species/types';
import { expectNear, workedSheet, type WorkedCut } from '../tests/workedCut';
import { forecast } from './forecast';
import worked from './worked-beef.fixture.json';

type Lfb = { L: number; F: number; B: number };
type Assignment = {
  line: string;
  rule: string;
  atoms: string[];
  overrides: Record<string, Lfb | undefined>;
  thickness_in: number | null;
  length_in: number | null;
  end_loss_in: number | null;
  sawn: boolean;
  unit_lb: number | null;
  fixed_pieces: number | null;
  pieces_split: number;
  per_pack: number | null;
};

const beef = speciesById('beef');
const asStated = {
  ...beef,
  cutting: { ...beef.cutting, shrinkShare: 0, packShrinkShare: worked.constants.pack_shrink },
};

const ruleOf = ({ L, F, B }: Lfb): TrimRule => ({ lean: L, fat: F, bone: B, skin: 0 });

function paramsOf(line: Assignment): ParamSpec[] {
  const thick = line.thickness_in;
  return [
    { id: 'perPack', kind: 'count', label: 'in a pack', default: line.per_pack ?? 1, min: 1, max: 9 },
    { id: 'parts', kind: 'count', label: 'parts', default: line.pieces_split, min: 1, max: 4 },
    ...(thick === null
      ? []
      : [
          {
            id: 'thickness',
            kind: 'length' as const,
            label: 'thick',
            defaultIn: thick,
            minIn: 0.1,
            maxIn: 9,
          },
        ]),
  ];
}

function piecesOf(line: Assignment): Pick<WorkedCut, 'pieces'> {
  if (line.unit_lb !== null) return { pieces: { kind: 'each', eachLb: line.unit_lb } };
  if (line.fixed_pieces !== null) return { pieces: { kind: 'fixed', count: line.fixed_pieces } };
  const run = line.atoms.filter((id) => beef.atlas.atoms.some((atom) => atom.id === id && atom.lengthIn));
  return {
    pieces: {
      kind: 'slices',
      run: run.slice(0, 1),
      thickness: 'thickness',
      lengthIn: line.length_in!,
      endLossIn: line.end_loss_in!,
      parts: 'parts',
    },
  };
}

function workedCut(line: Assignment): WorkedCut {
  return {
    cut: line.line,
    trim: ruleOf(worked.rules[line.rule as keyof typeof worked.rules]),
    claims: line.atoms.map((atom) => {
      const own = line.overrides[atom];
      return { atom, ...(own ? { trim: ruleOf(own) } : {}) };
    }),
    ...(line.sawn ? { saw: { param: 'thickness' } } : {}),
    ...piecesOf(line),
    packs: { kind: 'pieces', param: 'perPack' },
    params: paramsOf(line),
  };
}

const TO_THE_POOLS = ['GRD', 'BON', 'FAT', 'WST'];
const cuts = (worked.assignments as Assignment[]).filter((line) => !TO_THE_POOLS.includes(line.rule));
const { situation, sheet } = workedSheet(asStated, cuts.map(workedCut), 1);
const cold = [weight(worked.side_weight_lb)];

describe('worked beef side', () => {
  const result = forecast(situation, sheet, cold);
  const { outputs } = worked;

  it.each(outputs.cuts.map((cut) => [cut.line, cut] as const))('%s', (name, cut) => {
    const line = result.lines.find((each) => each.cut === name)!;
    expectNear(inUnits(line.packaged), cut.out_lb);
    expect([line.pieces, line.packs]).toEqual([cut.pieces, cut.packs]);
  });

  it('ends where the example ends', () => {
    const { losses, pool } = result;
    expectNear(inUnits(pool.grind), outputs.ground_lb);
    expectNear(inUnits(losses.bone), outputs.bone_lb);
    expectNear(inUnits(losses.fat), outputs.fat_lb);
    expectNear(inUnits(losses.inedible), outputs.waste_lb);
    expectNear(inUnits(losses.grinder), outputs.grinder_loss_lb);
    expectNear(inUnits(losses.cuttingShrink), outputs.pack_shrink_lb);
    expectNear(inUnits(result.takeHome), outputs.packaged_lb);
    expectNear(inUnits(pool.lean), outputs.pool.lean_lb);
    expectNear(inUnits(pool.fatUsed), outputs.pool.attached_fat_lb);
    expectNear(pool.floorPct, outputs.pool.grind_floor_pct);
  });

  /** The example counts whole cuts, (n + 1) x kerf / length; the engine takes the blade from each thickness. */
  it('loses to the blade what the example does, within a tenth', () => {
    expect(Math.abs(inUnits(result.losses.kerf) / outputs.kerf_lb - 1)).toBeLessThan(0.1);
  });
});

/** The same common sheet on other finishes; columns: cuts, grind, grind fat %, bone, fat bin, packaged %. */
describe.each([
  ['grass', 231.93, 58.48, 20.0, 45.16, 30.55, 77.4],
  ['dairy', 226.89, 54.27, 20.0, 47.38, 37.48, 75.0],
  ['marbled', 209.22, 52.39, 31.6, 31.29, 72.13, 69.8],
])('the common sheet on a %s side', (type, cutsLb, grind, fatPct, bone, fat, yieldPct) => {
  const finish = beef.types.find((each) => each.id === type)!;
  const species = { ...situation.species, types: [{ ...finish, coverShift: 0 }] };
  const result = forecast({ ...situation, species, condition: { type } }, sheet, cold);

  it('gives what the table of finishes says', () => {
    const packed = result.lines.filter((line) => line.kind === 'cut').map((line) => inUnits(line.packaged));
    expectNear(
      packed.reduce((sum, lb) => sum + lb, 0),
      cutsLb,
    );
    expectNear(inUnits(result.pool.grind), grind);
    expectNear(inUnits(result.losses.bone), bone);
    expectNear(inUnits(result.losses.fat), fat);
    expect(Math.abs(result.pool.fatPct - fatPct)).toBeLessThan(0.06);
    expect(Math.abs(result.yieldBp / 100 - yieldPct)).toBeLessThan(0.2);
  });
});
