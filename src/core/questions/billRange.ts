import type { Forecast, ForecastLine } from '../forecast/types';
import { P90_DEVIATIONS } from '../forecast/spread';
import type { Cents } from '../quantity/money';
import type { Weight } from '../quantity/weight';

/** One in ten bills is expected below the low, one above the high: P10 and P90. */
export type BillRange = { readonly low: Cents; readonly high: Cents };

/**
 * How far a bill may come out beside its estimate, since weights do. Each line moves the bill by what its own scatter is
 * charged: a part of it in step with every line of the animal, since a fat one gives less of everything, the rest apart.
 *
 * @param totalOf - the total of a bill whose lines weigh so much, cents
 */
export function billRange(
  { lines, scatter: { together } }: Pick<Forecast, 'lines' | 'scatter'>,
  totalOf: (lines: readonly ForecastLine[]) => Cents,
): BillRange {
  const total = totalOf(lines);
  let [inStep, apart] = [0, 0];
  for (const line of lines) {
    const sd = scatterOf(line);
    const heavier = moreOf(line, sd);
    if (heavier === line) continue;
    const moved = totalOf(lines.map((each) => (each === line ? heavier : each))) - total;
    const part = Math.min(1, (together * line.packaged) / sd);
    inStep += moved * part;
    apart += moved ** 2 * (1 - part ** 2);
  }
  const beside = Math.round(P90_DEVIATIONS * Math.sqrt(inStep ** 2 + apart));
  return { low: (total - beside) as Cents, high: (total + beside) as Cents };
}

/** Standard deviation of a line, thousandths. */
function scatterOf({ low, high }: ForecastLine): number {
  return (high - low) / (2 * P90_DEVIATIONS);
}

/** The same line so much heavier, green and finished alike. */
function moreOf(line: ForecastLine, more: number): ForecastLine {
  const added = Math.round(more);
  if (added === 0 || line.packaged === 0) return line;
  const times = 1 + added / line.packaged;
  return {
    ...line,
    packaged: (line.packaged + added) as Weight,
    cureLoss: Math.round(line.cureLoss * times) as Weight,
  };
}
