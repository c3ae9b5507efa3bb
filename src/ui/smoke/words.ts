import { counted } from '@/core/quantity/counted';
import { NUMBER_WORDS } from '@/core/quantity/numberWords';
import { formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { clockIn, momentWords } from '@/core/time/shopTime';
import type { LoadAtSmoke, PieceAtSmoke, PieceNext, SmokeView } from '@/server/smoke';

const NEXT_WORDS: Readonly<Record<PieceNext, string>> = {
  begin: 'Put it into its cure',
  pump: 'Weigh it pumped',
  lie: 'It lies in its cure',
  drain: 'Weigh it drained',
  out: 'Out of the cure',
  load: 'Hang it in a load',
  smoke: 'It hangs in a load',
  weigh: 'Weigh it out of the smoke',
  pack: 'Slice and pack it',
  held: 'Release it',
};

/** What the one button of the piece in hand says. */
export function nextWords({ next }: PieceAtSmoke): string {
  return NEXT_WORDS[next];
}

/** Whether something is to be done with a piece now; the others wait for a day or a load. */
export function isDue({ next }: PieceAtSmoke): boolean {
  return next !== 'lie' && next !== 'smoke';
}

/** `jowl` of `Jowl, cured and smoked`: that it is smoked is said by where it stands. */
export function cutWords({ cut }: Pick<PieceAtSmoke, 'cut'>): string {
  return cut.toLowerCase().replace(/,? ?(cured and )?smoked/, '');
}

/** `ham, 3 of 8 days` */
export function standingWords({ cut, cure, next, load }: PieceAtSmoke): string {
  const name = cutWords({ cut });
  if (next === 'held') return `${name}, held`;
  if (load && next === 'smoke') return `${name}, load ${shortLot(load.lot)}`;
  if (!cure) return `${name}, ${next === 'begin' ? 'waits for its cure' : 'for the smoke'}`;
  if (cure.out) return `${name}, out of its cure`;
  return `${name}, ${cure.day} of ${counted(cure.days, 'day')}`;
}

/** `3` of the load `S2026-11-24-3`. */
export function shortLot(lot: string): string {
  return lot.slice(lot.lastIndexOf('-') + 1);
}

/** `Two come out of the cure today, four pieces are held` */
export function titleWords({ pieces }: SmokeView): string {
  const out = pieces.filter(({ next }) => next === 'drain' || next === 'out').length;
  const begin = pieces.filter(({ next }) => next === 'begin').length;
  const held = pieces.filter(({ next }) => next === 'held').length;
  const said = [
    out > 0 ? `${inWords(out)} ${out === 1 ? 'comes' : 'come'} out of the cure` : '',
    begin > 0 ? `${inWords(begin)} ${begin === 1 ? 'waits' : 'wait'} for a cure` : '',
    held > 0 ? `${inWords(held)} ${held === 1 ? 'is' : 'are'} held` : '',
  ].filter((words) => words !== '');
  if (said.length > 0) return sentence(said.join(', '));
  return pieces.length > 0 ? 'Nothing is due in the smokehouse now' : 'The house is cold';
}

const inWords = (count: number) => NUMBER_WORDS[count] ?? String(count);

function sentence(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}

export function weightWords(net: Weight, unit: WeighingUnit): string {
  return `${formatWeight(net, unit)} ${unit}`;
}

/** What a piece weighed on its way, in order: only what a scale gave, and what is expected of it. */
export function weightsOf(
  piece: PieceAtSmoke,
): { readonly words: string; readonly net: Weight; readonly about: boolean }[] {
  const { green, pumped, drained, smoked, finished } = piece;
  const weighed = [
    { words: 'green', net: green },
    { words: 'pumped', net: pumped },
    { words: 'drained', net: drained },
    { words: 'smoked', net: smoked },
  ];
  return [
    ...weighed.flatMap(({ words, net }) => (net === null ? [] : [{ words, net, about: false }])),
    ...(smoked === null ? [{ words: 'finished', net: finished, about: true }] : []),
  ];
}

/** How the piece is cured: `Ham brine, pumped, lot B2026-11-24-1, Cooler`. */
export function cureWords({ cure }: PieceAtSmoke): string {
  if (!cure) return '';
  return `${cure.recipe}, lot ${cure.mixLot}, ${cure.place}`;
}

/** What a load is asked, and what it answers. */
export function loadWords(load: LoadAtSmoke, zone: string): { readonly asks: string; readonly says: string } {
  const { lit, ended, held, released, pieces } = load.standing;
  const asks = `Load ${shortLot(load.lot)}, ${load.plan.name.toLowerCase()}`;
  if (!lit) return { asks, says: `${counted(pieces.length, 'piece')} in it, not lit` };
  if (held.length > 0) return { asks, says: held[0]! };
  if (!ended) return { asks, says: `lit ${momentWords(zone, lit.at)}` };
  return { asks, says: released === '' ? 'It kept its plan.' : `Released: ${released}` };
}

/** The hour by the shop's clock, so many minutes after the load was lit. */
export function hourAt(zone: string, lit: string, minute: number): string {
  return clockIn(zone, new Date(Date.parse(lit) + minute * 60_000).toISOString());
}
