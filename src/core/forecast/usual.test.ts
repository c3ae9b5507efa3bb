import { formOf, houseSheet, withAnswer } from '../sheet/houseSheet';
import { decisionById } from '../sheet/situation';
import { inUnits, sumWeights, weight } from '../quantity/weight';
import { plainSide } from '../tests/groundOf';
import { forecast } from './forecast';
import usual from './usual.fixture.json';

/**
 * What a usual side gives of each cut, by the shop's own notes of weights and counts: pounds and pieces a side, or
 * the span they lie in. Notes and help on the screens say the same figures.
 */
type Usual = {
  readonly of: string;
  readonly cut?: string;
  readonly lb: number | readonly number[];
  readonly pieces?: number | readonly number[];
  /** Other answers that the cut needs, by decision. */
  readonly beside?: Readonly<Record<string, string>>;
};

/** A single figure is rounded, and holds within a twentieth. */
const WITHIN = 0.05;

const span = (said: number | readonly number[], within: number): readonly [number, number] =>
  typeof said === 'number' ? [said * (1 - within), said * (1 + within)] : [said[0]!, said[1]!];

describe.each(Object.entries(usual))('a usual side of %s', (id, { sideLb, cuts }) => {
  const situation = plainSide(id);

  function linesOf({ of, beside = {} }: Usual) {
    const [own, option] = of.split('.') as [string, string];
    const answers = Object.entries({ ...beside, [own]: option });
    const sheet = answers.reduce((before, [decision, chosen]) => {
      const form = formOf(decisionById(situation.species, decision), chosen, situation);
      return withAnswer(before, decision, { forms: [form] });
    }, houseSheet(situation));
    return forecast(situation, sheet, [weight(sideLb)]).lines.filter((line) => line.decision === own);
  }

  it.each((cuts as Usual[]).map((each) => [each.of, each.cut ?? '', each] as const))(
    '%s %s',
    (_, cut, said) => {
      const lines = linesOf(said).filter((line) => cut === '' || line.cut === cut);
      const [least, most] = span(said.lb, WITHIN);
      const lb = inUnits(sumWeights(lines.map((line) => line.packaged)));
      expect(lb).toBeGreaterThanOrEqual(least);
      expect(lb).toBeLessThanOrEqual(most);
      if (said.pieces === undefined) return;
      const [fewest, greatest] = span(said.pieces, 0);
      const pieces = lines.reduce((sum, line) => sum + (line.pieces ?? 0), 0);
      expect([pieces >= fewest, pieces <= greatest, pieces]).toEqual([true, true, pieces]);
    },
  );
});
