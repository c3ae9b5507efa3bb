import type { BatchOfDay, GrindOfDay } from '@/server/grind';
import type { NextAct } from './useGrind';

const ACTS = {
  begin: 'Begin it',
  meat: 'Weigh the meat in',
  mixed: 'Mixed',
  head: 'The head is open, all of it out',
  pack: 'Pack it at the wrap table',
  close: 'Close the batch',
  over: 'Closed',
  held: 'Held',
} as const;

const WASHED = {
  scrape: 'Scraped and sanitised',
  species: 'Cleaned between species',
  wet: 'Full wet clean done',
} as const;

/** What the one large button says. */
export function actWords(act: NextAct, { recipe }: GrindOfDay): string {
  if (act.does === 'weigh') return `Weigh ${act.due.name}`;
  if (act.does === 'look') return 'Second person';
  if (act.does === 'wash') return WASHED[act.wash];
  return act.does === 'begin' ? `Begin: ${recipe}` : ACTS[act.does];
}

/** Whether a key can do it here: packs are made at the wrap table. */
export function canGo(act: NextAct): boolean {
  return act.does !== 'pack' && act.does !== 'over' && act.does !== 'held';
}

/** Nitrite is never typed. */
export function canType(act: NextAct | undefined): boolean {
  return act?.does === 'meat' || (act?.does === 'weigh' && !act.due.cures);
}

/** `155 ppm nitrite in the meat, the limit is 156` */
export function ppmWords({ standing: { ppm, ppmLimit } }: BatchOfDay): string {
  return ppm === null ? 'no nitrite' : `${Math.round(ppm)} ppm nitrite in the meat, the limit is ${ppmLimit}`;
}

/** A batch of the day, with what it costs to take it next. */
export function orderWords({ name, cut, ifNext, batch }: GrindOfDay): string {
  const state = batch ? ', begun' : '';
  const cost = ifNext <= 0 ? 'no more washing' : `${ifNext} min more washing`;
  return `${name.split(',')[0]}: ${cut}${state} (${cost})`;
}
