import { parseArgs } from 'node:util';
import { USUAL_WASH } from '@/core/grindroom/board';
import { isOpen } from '@/core/room/room';
import { USUAL_RULES } from '@/core/shop/houseRules';
import type { Day } from '@/core/time/shopTime';
import { bestPlan } from '@/core/week/bestPlan';
import { earliestDue, firstComeFirstServed } from '@/core/week/firstPlan';
import { benchMinutes, blockMinutesOf } from '@/core/week/minutes';
import type { WeekPlan, WeekRoom } from '@/core/week/room';
import { yearOf, type Arrival, type YearFigures } from '@/core/week/year';
import { readCatalogue } from '@/data/catalogue';
import { openDatabase } from '@/data/database';
import { ensureSeason } from './prepare.mjs';

/**
 * `npm run weeks [-- --minutes 420,200,160]`: the animals of the demo's year, cut by three rules in a shop with so many
 * minutes a day, as Markdown: days late and early, animals that hung too long, overtime and washes.
 */
const { values } = parseArgs({ options: { minutes: { type: 'string', default: '420,200,160' } } });

/** Of what the year was ground and cured nothing is asked here: its packs alone are counted. */
const NOTHING_ELSE = { grindLb: 0, linksLb: 0, pattiesLb: 0, cures: 0 };

type Row = { id: string; species: string; killDate: Day; sheets: number; packs: number };

async function arrivalsOfYear(): Promise<Arrival[]> {
  const db = openDatabase(ensureSeason('lb'));
  const rows: Row[] = await db('animals')
    .leftJoin('shares', 'shares.animalId', 'animals.id')
    .leftJoin('weighings', (on) =>
      on.on('weighings.shareId', 'shares.id').andOnVal('weighings.kind', 'package'),
    )
    .groupBy('animals.id')
    .select('animals.id', 'animals.species', 'animals.killDate')
    .countDistinct({ sheets: 'shares.id' })
    .count({ packs: 'weighings.id' });
  await db.destroy();
  const species = new Map(readCatalogue().species.map((each) => [each.id, each]));
  return rows.flatMap(({ id, species: kind, killDate, sheets, packs }): Arrival[] => {
    const known = species.get(kind);
    if (!known) return [];
    return [
      {
        ...{ id, species: kind, rite: '', kill: killDate },
        block: Math.round(blockMinutesOf(known.room.minutesPerAnimal, sheets)),
        bench: Math.round(benchMinutes({ packs, ...NOTHING_ELSE })),
        targetDays: known.hang.targetDays,
        longestDays: known.hang.longestDays,
      },
    ];
  });
}

const RULES: readonly (readonly [string, (room: WeekRoom) => WeekPlan | Promise<WeekPlan>])[] = [
  ['first come, first served', firstComeFirstServed],
  ['earliest due', earliestDue],
  ['planned', async (room) => (await bestPlan(room, undefined, 3)).plan],
];

const arrivals = await arrivalsOfYear();
const wash = { species: USUAL_WASH.species, rite: USUAL_WASH.wet - USUAL_WASH.species };
const week = { open: USUAL_RULES.week.open, holidays: [] };
process.stdout.write(
  `${arrivals.length} animals\n\n| minutes a day | rule | days late | days early | too long | overtime, min | washes |\n|---|---|---|---|---|---|---|\n`,
);
for (const minutes of values.minutes.split(',').map(Number)) {
  const dayOf = (day: Day) => {
    const there = isOpen(day, week) ? minutes : 0;
    return { block: there, bench: there, over: there > 0 ? 60 : 0 };
  };
  for (const [name, rule] of RULES) {
    const { daysLate, daysEarly, tooLong, overtime, washes }: YearFigures = await yearOf(
      arrivals,
      { dayOf, wash },
      rule,
    );
    process.stdout.write(
      `| ${minutes} | ${name} | ${daysLate} | ${daysEarly} | ${tooLong} | ${overtime} | ${washes} |\n`,
    );
  }
}
