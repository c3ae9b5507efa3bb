import { mean } from 'd3-array';
import { billFor, itemsOfForecast } from '../charges/bill';
import { billRange } from '../questions/billRange';
import type { Forecast, ForecastLine } from '../forecast/types';
import { ZERO_CENTS, type Cents } from '../quantity/money';
import type { Weight } from '../quantity/weight';
import { normalsFrom } from '../ranges/normals';
import type { Species } from '../species/types';
import { demoPrices } from './prices';
import { Season, type SimulatedOrder } from './simulatedShop';

type Asked = {
  /** Shops that are simulated, each with a hand of its own. */
  readonly shops: number;
  /** Orders asked at each point. */
  readonly asked: number;
  /** How many orders are finished when they are asked. */
  readonly after: readonly number[];
  readonly seed: number;
  /** How far a shop's usual lies beside the reference; the species' own figure when absent. */
  readonly differs?: number;
  readonly wilder?: number;
};

/** How good forecasts are after so many finished orders; all but `after` as shares. */
export type SeasonFigures = {
  readonly after: number;
  /** How often what was packed lay in its range. */
  readonly cuts: number;
  readonly grind: number;
  readonly takeHome: number;
  /** Of the bill by the demo's prices, where any of it goes by a weight that is not known; 1 where none does. */
  readonly bill: number;
  /** Mean error of a cut against what was packed, and against what this shop usually packs. */
  readonly error: number;
  readonly usualError: number;
};

/** Simulates the seasons of many shops, and says how good their forecasts were. */
export function seasonFigures(species: Species, asked: Asked): SeasonFigures[] {
  const { shops, seed, differs = species.uncertainty.priorSd, wilder } = asked;
  const seasons = Array.from({ length: shops }, (_, at) => {
    const normal = normalsFrom(seed + at);
    return new Season({ species, normal, differs, ...(wilder === undefined ? {} : { wilder }) });
  });
  let finished = 0;
  const totalOf = billOfHouse(species);
  return asked.after.map((after) => {
    for (const season of seasons) season.finish(after - finished);
    finished = after;
    return {
      after,
      ...told(
        seasons.flatMap((season) => season.asked(asked.asked)),
        totalOf,
      ),
    };
  });
}

function told(orders: readonly SimulatedOrder[], totalOf: TotalOf): Omit<SeasonFigures, 'after'> {
  const inside: boolean[] = [];
  const errors: number[] = [];
  const usualErrors: number[] = [];
  const [grinds, wholes, bills]: [boolean[], boolean[], boolean[]] = [[], [], []];
  for (const order of orders) {
    const { forecast, drawn, keys, usual } = order;
    keys.forEach((key, at) => {
      const line = forecast.lines.find((each) => each.key === key);
      if (!line) return;
      const packed = drawn.lines[at]!;
      inside.push(isInside(line, packed));
      errors.push(Math.abs(line.packaged / packed - 1));
      usualErrors.push(Math.abs(line.packaged / usual[at]! - 1));
    });
    const [grind] = forecast.lines.filter(({ kind }) => kind === 'grind');
    if (grind) grinds.push(isInside(grind, drawn.grind));
    const { low, high } = billRange(forecast, totalOf(forecast));
    const bill = totalOf(forecast)(packedLines(order));
    bills.push(bill >= low && bill <= high);
    wholes.push(drawn.takeHome >= forecast.takeHomeLow && drawn.takeHome <= forecast.takeHomeHigh);
  }
  return {
    cuts: part(inside),
    grind: part(grinds),
    takeHome: part(wholes),
    bill: part(bills),
    error: mean(errors)!,
    usualError: mean(usualErrors)!,
  };
}

type TotalOf = (expected: Forecast) => (lines: readonly ForecastLine[]) => Cents;

/** The bill of a share of one household, by the newest prices of the demo. */
function billOfHouse({ id }: Species): TotalOf {
  const list = demoPrices.at(-1)!;
  return ({ coldWeight: hot }) =>
    (lines) =>
      billFor(list, {
        animal: { species: id, hot },
        hot,
        cold: hot,
        headSplit: { parts: [1], index: 0 },
        items: itemsOfForecast({ lines }, 'vacuum'),
        deposit: ZERO_CENTS,
      }).total;
}

/** The lines of a forecast as they were packed; the grind is divided as it was expected. */
function packedLines({ forecast: { lines }, drawn, keys }: SimulatedOrder): ForecastLine[] {
  const grind = lines.filter(({ kind }) => kind === 'grind');
  const ground = grind.reduce((sum, { packaged }) => sum + packaged, 0);
  return lines.map((line) => {
    const at = keys.indexOf(line.key);
    const ofGrind = line.kind === 'grind' ? (drawn.grind * line.packaged) / ground : line.packaged;
    const packaged = at >= 0 ? drawn.lines[at]! : ofGrind;
    const times = line.packaged > 0 ? packaged / line.packaged : 1;
    return {
      ...line,
      packaged: Math.round(packaged) as Weight,
      cureLoss: Math.round(line.cureLoss * times) as Weight,
    };
  });
}

function isInside({ low, high }: ForecastLine, packed: number): boolean {
  return packed >= low && packed <= high;
}

function part(said: readonly boolean[]): number {
  return said.filter(Boolean).length / said.length;
}
