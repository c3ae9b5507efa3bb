import type { Forecast, ForecastLine } from '../forecast/types';
import { formatInches } from '../quantity/length';
import { formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Species } from '../species/types';
import type { Working, WorkingInput } from './working';

/** How the packaged weight of a line comes about. */
export function lineWorking(line: ForecastLine, species: Species, unit: WeighingUnit): Working {
  if (line.kind === 'grind') return grindLineWorking(line, unit);
  const show = shower(unit);
  const inputs: WorkingInput[] = [
    { label: 'comes off the rail', value: show(line.gross) },
    ...part('lean to the tub', line.trim.lean, show),
    ...part('fat trimmed off', line.trim.fat, show),
    ...part('bone out', line.trim.bone, show),
    ...part('skin off', line.trim.skin, show),
    ...part(sawLabel(line), line.kerf, show),
    ...part(line.cureLoss < 0 ? 'brine that stays in' : 'lost in cure and smoke', line.cureLoss, show),
    { label: 'in the boxes', value: show(line.packaged) },
    { label: 'expected between', value: `${show(line.low)} and ${show(line.high)}` },
  ];
  return {
    title: line.cut,
    formula:
      'Share of the cold side less cutting shrink; less trim, tissue by tissue; less the blade’s dust; times what cure and smoke leave.',
    inputs,
    source: `${species.atlas.source}. Range: plus or minus ${species.tolerance.lineShare * 100} % until the shop has its own yields.`,
  };
}

function grindLineWorking(line: ForecastLine, unit: WeighingUnit): Working {
  const show = shower(unit);
  return {
    title: line.cut,
    formula: 'Lines with a weight are filled first, in order; the last takes what is left of the grind.',
    inputs: [
      { label: 'in the boxes', value: show(line.packaged) },
      { label: 'packs', value: `${line.packs} of ${line.packWeight === null ? '-' : show(line.packWeight)}` },
      { label: 'expected between', value: `${show(line.low)} and ${show(line.high)}` },
    ],
    source: 'Grind rules of the species; docs/figures.md.',
  };
}

function shower(unit: WeighingUnit) {
  return (w: Weight) => `${formatWeight(w, 3)} ${unit}`;
}

function part(label: string, w: Weight, show: (w: Weight) => string): WorkingInput[] {
  return w === 0 ? [] : [{ label, value: `− ${show(w)}`.replace('− -', '+ ') }];
}

function sawLabel(line: ForecastLine): string {
  return line.thicknessIn === null ? 'saw dust' : `saw dust at ${formatInches(line.thicknessIn)}`;
}

/** How much grind there is and how fat it comes out. */
export function grindWorking(expected: Forecast, species: Species, unit: WeighingUnit): Working {
  const show = shower(unit);
  return {
    title: 'Grind',
    formula:
      'All lean trim, and fat = lean × wished % ÷ (100 − wished %), but never more fat than there is; less the grinder’s loss.',
    inputs: [
      { label: 'lean trim', value: show(expected.pool.lean) },
      { label: 'fat trim there is', value: show(expected.pool.fat) },
      { label: 'fat that goes in', value: show(expected.pool.fatUsed) },
      { label: 'left in the grinder', value: show(expected.losses.grinder) },
      { label: 'grind', value: show(expected.pool.grind) },
      { label: 'separable fat', value: `${expected.pool.fatPct.toFixed(1)} %` },
      { label: 'about, by analysis', value: `${(0.9 * expected.pool.fatPct + 3).toFixed(0)} % fat` },
    ],
    source: `Grinder loss ${species.grind.grinderLossShare * 100} %; analysis = 0.9 × separable + 3, a rule of thumb. docs/figures.md.`,
  };
}

/** How the take-home weight and the yield come about. */
export function takeHomeWorking(expected: Forecast, species: Species, unit: WeighingUnit): Working {
  const show = shower(unit);
  const { losses } = expected;
  return {
    title: 'Take-home',
    formula: 'Cold weight less everything that does not reach a box. Yield = take-home ÷ cold weight.',
    inputs: [
      { label: 'cold weight', value: show(expected.coldWeight) },
      ...part('fat', losses.fat, show),
      ...part('bone', losses.bone, show),
      ...part('skin', losses.skin, show),
      ...part('glands, condemned', losses.inedible, show),
      ...part('cure and smoke', losses.cure, show),
      ...part('saw', losses.kerf, show),
      ...part('grinder', losses.grinder, show),
      ...part('air, while cutting', losses.cuttingShrink, show),
      { label: 'take-home', value: show(expected.takeHome) },
      { label: 'yield on cold weight', value: `${(expected.yieldBp / 100).toFixed(2)} %` },
    ],
    source: `Range: plus or minus ${species.tolerance.orderShare * 100} points of yield until the shop has its own.`,
  };
}
