import { ownDegrees, toFahrenheit } from '../quantity/degrees';
import fc from 'fast-check';
import {
  againstPlan,
  COOLING_CURED,
  COOLING_UNCURED,
  LETHAL_GROUND,
  LETHAL_WHOLE,
  LONGEST_SILENCE,
  type ProbeReading,
  type SmokePlan,
} from './plan';

const HAM: SmokePlan = {
  id: 'ham',
  name: 'Whole cured pieces',
  lethal: LETHAL_WHOLE,
  label: 'Smoked and cooked.',
  cooling: COOLING_CURED,
};

/** A curve through these points, a reading every five minutes. */
function curve(...points: readonly (readonly [minute: number, degrees: number])[]): ProbeReading[] {
  const readings: ProbeReading[] = [];
  points.slice(1).forEach(([minute, degrees], at) => {
    const [from, warm] = points[at]!;
    for (let now = from; now < minute; now += 5) {
      readings.push({ minute: now, degrees: warm + ((degrees - warm) * (now - from)) / (minute - from) });
    }
  });
  const [minute, degrees] = points.at(-1)!;
  return [...readings, { minute, degrees }];
}

const good = curve([0, 40], [400, 160], [450, 130], [700, 79], [1200, 44]);

describe('a curve against a plan', () => {
  it('gets over one post and under the others', () => {
    const { posts, holds } = againstPlan(HAM, good, true);
    expect(holds).toEqual([]);
    expect(posts.map(({ state }) => state)).toEqual(['met', 'met', 'met']);
    expect(posts.map(({ words }) => words)).toEqual([
      '145 F for 4 min or 158 F',
      'under 80 F within 5 h from 130 F',
      'under 45 F within 10 h from 80 F',
    ]);
  });

  it('that cools too slowly misses its post, and says by when it had to', () => {
    const slow = curve([0, 40], [400, 160], [450, 130], [790, 79], [1200, 44]);
    const { posts, holds } = againstPlan(HAM, slow, true);
    expect(posts[1]).toMatchObject({ state: 'missed', by: 750 });
    expect(posts[1]!.met).toBeGreaterThan(750);
    expect(holds).toEqual(['Missed: under 80 F within 5 h from 130 F.']);
    // What is not cured has the shorter posts.
    expect(againstPlan({ ...HAM, cooling: COOLING_UNCURED }, good, true).holds).toHaveLength(2);
  });

  it('that was never hot enough misses, and while it runs it is open', () => {
    const cool = curve([0, 40], [400, 140], [900, 40]);
    expect(againstPlan(HAM, cool, true).posts[0]!.state).toBe('missed');
    expect(againstPlan(HAM, cool.slice(0, 50), false).holds).toEqual([]);
    expect(againstPlan(HAM, [], false).posts.map(({ state }) => state)).toEqual(['open', 'open', 'open']);
    const held = curve([0, 40], [300, 146], [310, 146], [320, 100]);
    expect(againstPlan(HAM, held, false).posts[0]!.state).toBe('met');
    expect(againstPlan({ ...HAM, lethal: LETHAL_GROUND }, held, true).posts[0]!.state).toBe('missed');
  });

  it('whose probe is silent over a post is known by nobody', () => {
    const { posts } = againstPlan(HAM, good, true);
    const by = posts[1]!.by!;
    const silent = good.filter(({ minute }) => minute < by - 60 || minute > by + 60);
    const late = silent.map((each) =>
      each.minute > by ? each : { ...each, degrees: Math.max(each.degrees, 81) },
    );
    const verdict = againstPlan(HAM, late, true);
    expect(verdict.posts[1]!.state).toBe('unknown');
    expect(verdict.holds[0]).toMatch(/^Nobody knows/);
  });

  it('is judged by what was read alone: more heat never loses its post, a later reading never a cooling that was met', () => {
    const anyCurve = fc
      .array(
        fc.record({
          step: fc.integer({ min: 1, max: LONGEST_SILENCE }),
          degrees: fc.integer({ min: 30, max: 180 }),
        }),
        {
          minLength: 1,
          maxLength: 80,
        },
      )
      .map((steps) => {
        let minute = 0;
        return steps.map(({ step, degrees }) => ({ minute: (minute += step), degrees }));
      });
    fc.assert(
      fc.property(anyCurve, fc.integer({ min: 0, max: 30 }), (readings, warmer) => {
        const plan = { ...HAM, cooling: [] };
        const before = againstPlan(plan, readings, true).posts[0]!.state;
        const hotter = readings.map((each) => ({ ...each, degrees: each.degrees + warmer }));
        if (before === 'met') expect(againstPlan(plan, hotter, true).posts[0]!.state).toBe('met');
        const { posts } = againstPlan(HAM, readings, true);
        for (const post of posts) expect(post.state).not.toBe('open');
        const running = againstPlan(HAM, readings, false);
        const ended = againstPlan(HAM, readings, true);
        running.posts.forEach((post, at) => {
          if (post.state !== 'open') expect(ended.posts[at]!.state).toBe(post.state);
        });
      }),
      { numRuns: 400, seed: 20261127 },
    );
  });

  it('is said on the scale that its shop reads, and judged the same', () => {
    const readings = [{ minute: 0, degrees: 38 }];
    const said = (unit: 'lb' | 'kg') => againstPlan(HAM, readings, true, unit).posts;
    expect(said('kg').map(({ words }) => words)).toEqual([
      '63 C for 4 min or 70 C',
      'under 27 C within 5 h from 54 C',
      'under 7 C within 10 h from 27 C',
    ]);
    expect(said('kg').map(({ state }) => state)).toEqual(said('lb').map(({ state }) => state));
    for (const fahrenheit of [32, 40, 130, 158]) {
      for (const unit of ['lb', 'kg'] as const) {
        expect(toFahrenheit(ownDegrees(fahrenheit, unit), unit)).toBeCloseTo(fahrenheit, 9);
      }
    }
  });
});
