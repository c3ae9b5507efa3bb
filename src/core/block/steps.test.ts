import fc from 'fast-check';
import { forecast } from '../forecast/forecast';
import { sumWeights, weight } from '../quantity/weight';
import { formOf, houseSheet } from '../sheet/houseSheet';
import { decisionById, decisionsAsked, type Job } from '../sheet/situation';
import { takenOver } from '../sheet/takenOver';
import { answerOn } from '../sheet/wishes';
import { anyOrder } from '../tests/anySheet';
import { allSpecies, speciesById } from '../tests/catalogue';
import { COLD, plainSide } from '../tests/groundOf';
import { answered } from '../tests/halfHog';
import { expectedPieces } from './pieces';
import { ribsOf } from './ribs';
import { stepsOf } from './steps';

const house = (id: keyof typeof COLD): Job => {
  const situation = plainSide(id);
  return { situation, sheet: houseSheet(situation), coldSides: [weight(COLD[id])] };
};
const step = (job: Job, id: string, ...beside: Parameters<typeof stepsOf>[1] & object) =>
  stepsOf(job, beside).find((each) => each.id === id);
const withAnswer = ({ situation, sheet, coldSides }: Job, row: string, option: string): Job => {
  const form = formOf(decisionById(situation.species, row), option, situation);
  return { situation, sheet: answered(sheet, row, form), coldSides };
};

describe('the guide of a species as it ships', () => {
  const shipped = allSpecies().filter(({ guide }) => guide !== undefined);
  // Variants drop options that nobody makes of them; what is written is written for these.
  const written = ['beef', 'hog', 'lamb'].map(speciesById);

  it.each(written)('$id names options that there are', ({ guide, decisions }) => {
    for (const each of guide!.steps) {
      for (const wishes of [each.needs, ...(each.stops ?? []).map((stop) => stop.wishes)]) {
        for (const [decision, options] of Object.entries(wishes ?? {})) {
          const known = decisions.find(({ id }) => id === decision)!.options.map(({ id }) => id);
          expect(known).toEqual(expect.arrayContaining([...options]));
        }
      }
    }
  });

  it.each(shipped.flatMap((species) => species.schools.map(({ id }) => [species.id, id] as const)))(
    '%s, %s: every row is met on the way, every piece is weighed once',
    (speciesId, school) => {
      const species = speciesById(speciesId);
      const met = species.guide!.steps.filter(
        ({ schools, except }) => (schools?.includes(school) ?? true) && !except?.includes(school),
      );
      const rows = new Set(met.flatMap(({ opens, stays = [] }) => [...opens, ...stays]));
      expect(species.decisions.map(({ id }) => id).filter((id) => !rows.has(id))).toEqual([]);
      const weighed = met.flatMap(({ weigh = [] }) => weigh);
      expect([...weighed].sort()).toEqual(species.guide!.pieces.map(({ id }) => id).sort());
    },
  );
});

describe('the hind of other schools, and wishes that have steps of their own', () => {
  const ids = (job: Job) => stepsOf(job).map(({ id }) => id);
  const inSchool = (school: string): Job => {
    const situation = { ...plainSide('beef'), school };
    return { situation, sheet: houseSheet(situation), coldSides: [weight(COLD.beef)] };
  };

  it('is opened by the seam, for slicing, or with the rump off, each instead of the usual step', () => {
    expect(ids(inSchool('us'))).toEqual(
      expect.arrayContaining(['short-loin', 'sirloin', 'knuckle', 'gooseneck']),
    );
    for (const [school, own, usual] of [
      ['seam', ['seam-rump', 'seam-strip'], ['short-loin', 'sirloin']],
      ['jp', ['jp-strip', 'jp-knuckle', 'jp-bottom-round'], ['short-loin', 'knuckle', 'gooseneck']],
      ['uk', ['uk-rump', 'uk-rump-seams'], ['loin-from-sirloin', 'sirloin']],
    ] as const) {
      const there = ids(inSchool(school));
      expect(there).toEqual(expect.arrayContaining([...own]));
      expect(usual.filter((id) => there.includes(id))).toEqual([]);
    }
  });

  it('chops at the discs, where the saw then stops', () => {
    expect(ids(house('hog'))).not.toContain('disc-chops');
    const byDiscs = withAnswer(house('hog'), 'center-loin', 'discs');
    expect(ids(byDiscs)).toEqual(expect.arrayContaining(['disc-last-rib', 'disc-chops']));
    expect(step(byDiscs, 'loin-run')!.stops.map(({ says }) => says)).toContain('No saw in the loin');
  });
});

describe('the break of any order', () => {
  it('meets every row that is asked and not taken over, and says nothing of others', () => {
    fc.assert(
      fc.property(anyOrder, (job) => {
        const steps = stepsOf(job);
        if (steps.length === 0) return;
        const met = new Set(
          steps.flatMap(({ stays, off }) => [...stays, ...off]).map((wish) => wish.decision),
        );
        const asked = decisionsAsked(job.situation).map(({ id }) => id);
        const taken = takenOver(job.situation.species, (id) => answerOn(job.sheet, id, 1));
        const needed = asked.filter((id) => !taken.has(id) && answerOn(job.sheet, id, 1));
        const unmet = needed.filter((id) => !met.has(id) && forecastGives(job, id));
        expect(unmet).toEqual([]);
        expect([...met].every((id) => asked.includes(id))).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('comes apart into pieces that are the whole hand, each within its range', () => {
    fc.assert(
      fc.property(anyOrder, (job) => {
        const pieces = expectedPieces(job);
        if (pieces.length === 0) return;
        expect(sumWeights(pieces.map(({ expected }) => expected))).toBe(sumWeights(job.coldSides));
        for (const { low, expected, high } of pieces) {
          expect(low).toBeLessThanOrEqual(expected);
          expect(high).toBeGreaterThanOrEqual(expected);
        }
      }),
      { numRuns: 60 },
    );
  });

  const forecastGives = ({ situation, sheet, coldSides }: Job, decision: string) =>
    forecast(situation, sheet, coldSides).lines.some(
      (line) => line.decision === decision && line.kind === 'cut',
    );
});

describe('a beef half at the block', () => {
  const job = house('beef');

  it('parts chuck and rib where its school does, and says what is wanted above and below', () => {
    const parted = step(job, 'chuck-from-rib')!;
    expect(parted).toMatchObject({
      place: 'between ribs 5 and 6',
      counted: { stay: 6, off: 5, bone: 'rib' },
    });
    expect(parted.stays.map(({ decision }) => decision)).toEqual(['rib', 'back-ribs']);
    expect(parted.off.map(({ decision }) => decision)).toContain('chuck');
    const japanese = { ...job, situation: { ...job.situation, school: 'jp' } };
    expect(step(japanese, 'chuck-from-rib')!.counted).toMatchObject({ stay: 7, off: 6 });
    expect(
      step({ ...job, situation: { ...job.situation, school: 'seam' } }, 'chuck-from-rib'),
    ).toBeUndefined();
  });

  it('forbids the saw where this sheet would lose by it, with the pounds at stake', () => {
    const stopsOf = (of: Job) => step(of, 'arm-from-blade')!.stops;
    const kept = withAnswer(withAnswer(job, 'petite-tender', 'kept'), 'arm', 'ranch');
    expect(stopsOf(kept)[0]!.says).toBe('No saw between arm and blade');
    const petite = stopsOf(kept)[0]!.stake.find(({ cut }) => /petite/i.test(cut))!;
    expect(petite.weight).toBeGreaterThan(weight(0.4));
    expect(petite.weight).toBeLessThan(weight(1));
    const sawn = withAnswer(withAnswer(job, 'petite-tender', 'in-roast'), 'arm', 'roast');
    expect(stopsOf(sawn)).toEqual([]);
  });

  it('of an old or unknown age keeps the backbone apart at each place where it is met', () => {
    const old: Job = {
      ...job,
      situation: { ...job.situation, condition: { flags: ['over-30-months'] } },
    };
    const warned = stepsOf(old).filter(({ stops }) => stops.some(({ because }) => /30 months/.test(because)));
    expect(warned.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['rib-chine', 'chuck-clean', 'neck', 'loin-from-sirloin']),
    );
  });

  it('says what the other half wants where it is another thing, and nothing where it is the same', () => {
    const other = withAnswer(job, 'rib', 'boneless');
    const parted = step(job, 'chuck-from-rib', { name: 'Marrack', job: other })!;
    expect(parted.stays.find(({ decision }) => decision === 'rib')!.others).toEqual([
      expect.objectContaining({ name: 'Marrack', says: expect.stringMatching(/boneless/i) }),
    ]);
    expect(parted.off.every(({ others }) => others.length === 0)).toBe(true);
  });

  it('as a fore quarter shows whose the hind is where the two are parted', () => {
    const quarter = (part: 'fore' | 'hind'): Job => {
      const situation = { ...job.situation, part };
      return { situation, sheet: houseSheet(situation), coldSides: [weight(180)] };
    };
    const [fore, hind] = [quarter('fore'), quarter('hind')];
    const parted = step(fore, 'quarter', { name: 'Lane', job: hind })!;
    expect(parted.stays.map(({ decision, owner }) => [decision, owner])).toEqual([['short-loin', 'Lane']]);
    expect(parted.off.map(({ owner }) => owner)).toEqual(['']);
    expect(stepsOf(fore).map(({ id }) => id)).not.toContain('tenderloin');
    expect(sumWeights(expectedPieces(fore).map(({ expected }) => expected))).toBe(weight(180));
  });
});

describe('what another row has', () => {
  it('is not cut by itself: a whole shoulder meets no saw between butt and picnic', () => {
    const hog = house('hog');
    expect(step(hog, 'butt-from-picnic')).toBeDefined();
    expect(step(withAnswer(hog, 'butt', 'whole-shoulder'), 'butt-from-picnic')).toBeUndefined();
  });

  it('is pulled early only where it is asked for', () => {
    const hog = house('hog');
    expect(step(withAnswer(hog, 'tenderloin', 'stays'), 'tenderloin-pull')).toBeUndefined();
    expect(step(withAnswer(hog, 'tenderloin', 'whole'), 'tenderloin-pull')!.isFirstPull).toBe(true);
  });
});

describe('ribs on the drawing', () => {
  it('are numbered as the shop breaks, and every one stands on the right side of the cut', () => {
    const job = house('beef');
    const numbers = (situation: Job['situation']) => ribsOf(situation).map(({ number }) => number);
    expect(numbers(job.situation)).toEqual([12, 11, 10, 9, 8, 7, 6, 5, 4, 3, 2, 1]);
    expect(numbers({ ...job.situation, school: 'uk' })).toEqual([10, 9, 8, 7, 6, 5, 4, 3, 2, 1]);
    const heights = ribsOf(job.situation).map(({ back }) => back[1]);
    expect([...heights].sort((a, b) => a - b)).toEqual(heights);
    expect(numbers(house('hog').situation)).toEqual([5, 4, 3, 2, 1]);
    expect(numbers(house('lamb').situation)).toEqual([12, 11, 10, 9, 8, 7, 6, 5, 4, 3, 2, 1]);
  });
});
