import type { Forecast, ForecastLine } from '../forecast/types';
import { formatInches } from '../quantity/length';
import { formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';
import { inSentence } from '../quantity/inSentence';
import type { Situation } from '../sheet/situation';
import type { Species } from '../species/types';
import type { Working, WorkingInput } from './working';

/** How the packaged weight of a line comes about. */
export function lineWorking(
  line: ForecastLine,
  { species, unit, experience }: Pick<Situation, 'species' | 'unit' | 'experience'>,
): Working {
  if (line.kind === 'grind') return grindLineWorking(line, unit);
  const show = shower(unit);
  const inputs: WorkingInput[] = [
    { label: 'comes off the rail', value: show(line.gross) },
    ...part('lean to the tub', line.trim.lean, show),
    ...part('fat trimmed off', line.trim.fat, show),
    ...part('bone out', line.trim.bone, show),
    ...part('skin off', line.trim.skin, show),
    ...part(sawLabel(line), line.kerf, show),
    ...part('lost by the packed pounds, drip and air', line.airLoss, show),
    ...part(line.cureLoss < 0 ? 'brine that stays in' : 'lost in cure and smoke', line.cureLoss, show),
    { label: 'in the boxes', value: show(line.packaged) },
    { label: 'expected between', value: `${show(line.low)} and ${show(line.high)}` },
  ];
  return {
    title: line.cut,
    formula:
      'Share of the cold side less cutting shrink; less trim, tissue by tissue; less the blade’s dust; times what cure and smoke leave; less what packed pounds lose.',
    inputs,
    source: `${species.atlas.source}. ${rangeWords(line, experience?.cuts[line.ownCut]?.orders ?? 0, species)}`,
  };
}

/** What the range stands on, and how much the shop's own orders count in the line. */
function rangeWords({ evidence }: ForecastLine, orders: number, species: Species): string {
  const own =
    evidence > 0
      ? `${ownWords(orders, species)} and the reference; your own weigh ${Math.round(evidence * 100)} %.`
      : 'The shop has no finished orders of this cut yet: the reference stands alone.';
  return `Eight in ten are expected in the range: animals and hands differ. ${own}`;
}

/** "From 23 of your finished hog shares". */
function ownWords(orders: number, { name }: Species): string {
  return `From ${orders} of your finished ${inSentence(name)} shares`;
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
      'All lean trim with the fat that hangs on it, then loose fat up to the wish and never more than there is; less the grinder’s loss. Fat for separable %: lean × % ÷ (100 − %).',
    inputs: [
      { label: 'lean trim', value: show(expected.pool.lean) },
      { label: 'fat trim there is', value: show(expected.pool.fat) },
      { label: 'fat that goes in', value: show(expected.pool.fatUsed) },
      { label: 'left in the grinder', value: show(expected.losses.grinder) },
      { label: 'grind', value: show(expected.pool.grind) },
      { label: 'separable fat', value: `${expected.pool.separablePct.toFixed(1)} %` },
      { label: 'about, by analysis', value: `${analysedPct(expected, species).toFixed(0)} % fat` },
      { label: 'cannot come out leaner than', value: `${expected.pool.floorPct.toFixed(1)} %` },
    ],
    source: `Grinder loss ${species.grind.grinderLossShare * 100} %; lean holds about ${species.grind.lipid.lean * 100} % fat by analysis, separable fat ${species.grind.lipid.fat * 100} %. docs/figures.md.`,
  };
}

/** Fat an analysis would find, percent, by the rule of thumb of the species. */
function analysedPct({ pool }: Forecast, { grind }: Species): number {
  const separable = pool.separablePct / 100;
  return 100 * (separable * grind.lipid.fat + (1 - separable) * grind.lipid.lean);
}

/** How the take-home weight and the yield come about. */
export function takeHomeWorking(
  expected: Forecast,
  { species, unit, experience }: Pick<Situation, 'species' | 'unit' | 'experience'>,
): Working {
  const orders = experience?.takeHome?.orders ?? 0;
  const own = orders > 0 ? ` ${ownWords(orders, species)} and the reference.` : '';
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
    source: `Eight in ten are expected between ${show(expected.takeHomeLow)} and ${show(expected.takeHomeHigh)}: animals, hands and a fatness nobody measured. ${species.atlas.source}.${own}`,
  };
}
