import { mean } from 'd3-array';
import type { ForecastLine } from '../forecast/types';
import { normalsFrom } from '../ranges/normals';
import type { Species } from '../species/types';
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
  return asked.after.map((after) => {
    for (const season of seasons) season.finish(after - finished);
    finished = after;
    return { after, ...told(seasons.flatMap((season) => season.asked(asked.asked))) };
  });
}

function told(orders: readonly SimulatedOrder[]): Omit<SeasonFigures, 'after'> {
  const inside: boolean[] = [];
  const errors: number[] = [];
  const usualErrors: number[] = [];
  const [grinds, wholes]: [boolean[], boolean[]] = [[], []];
  for (const { forecast, drawn, keys, usual } of orders) {
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
    wholes.push(drawn.takeHome >= forecast.takeHomeLow && drawn.takeHome <= forecast.takeHomeHigh);
  }
  return {
    cuts: part(inside),
    grind: part(grinds),
    takeHome: part(wholes),
    error: mean(errors)!,
    usualError: mean(usualErrors)!,
  };
}

function isInside({ low, high }: ForecastLine, packed: number): boolean {
  return packed >= low && packed <= high;
}

function part(said: readonly boolean[]): number {
  return said.filter(Boolean).length / said.length;
}
