import isDeepEqual from 'fast-deep-equal';
import { breakPlan, placeOf } from '../carcass/breaks';
import type { Job, Situation } from '../sheet/situation';
import type { GuideStep } from '../species/types';
import { levelOf, type Level } from './levels';
import { Reader, type Beside, type BlockWish, type WantedCut } from './wishes';

/** What must not be done the usual way because of this sheet, and what it would cost. */
export type BlockStop = {
  readonly says: string;
  readonly because: string;
  /** What there would not be. */
  readonly stake: readonly WantedCut[];
};

/** Bones that are counted: so many stay up, and on from the next come off. */
export type Counted = { readonly stay: number; readonly off: number; readonly bone: 'rib' | 'loin bone' };

type Said = 'id' | 'title' | 'part' | 'where' | 'with' | 'protect' | 'wrong' | 'look' | 'caution' | 'ask';

/** One step of the break of what is in hand, with what this sheet wants there. */
export type BlockStep = Pick<GuideStep, Said> & {
  readonly hand: string;
  readonly isFirstPull: boolean;
  /** How far somebody must have come to do it. */
  readonly level: Level;
  /** Where the shop breaks, such as `between ribs 5 and 6`; empty where no break is made. */
  readonly place: string;
  readonly counted: Counted | null;
  readonly line: { readonly saw: readonly string[]; readonly knife: readonly string[] };
  readonly stays: readonly BlockWish[];
  readonly off: readonly BlockWish[];
  readonly stops: readonly BlockStop[];
  /** Pieces to weigh when it is done. */
  readonly weigh: readonly string[];
};

/**
 * The break of what is in hand, step by step, by the guide of its species, the shop's school and places, and its sheet.
 * Empty where the species has no guide.
 *
 * @param beside - who else has a part of the animal: what they want of the same rows is said where it is another thing
 */
export function stepsOf(job: Job, beside: readonly Beside[] = []): BlockStep[] {
  const { species, part = 'side' } = job.situation;
  const reader = new Reader(job);
  const around = beside.map(({ name, job: theirs }) => ({ name, reader: new Reader(theirs) }));
  return (species.guide?.steps ?? [])
    .filter((step) => (part === 'side' || step.part === 'both' || step.part === part) && isTaught(step, job))
    .filter((step) => isNeeded(step, reader, around))
    .map((step) => stepOf(step, reader, around));
}

type Around = readonly { readonly name: string; readonly reader: Reader }[];

function isTaught({ schools, except = [] }: GuideStep, { situation }: Job): boolean {
  const { species } = situation;
  const school = situation.school ?? species.usual?.school ?? species.schools[0]?.id ?? '';
  return (schools?.includes(school) ?? true) && !except.includes(school);
}

/** A step about rows that nobody asks, or that others have taken over, is not made. */
function isNeeded({ needs, opens, stays = [] }: GuideStep, reader: Reader, around: Around): boolean {
  if (needs && reader.wants(needs).length === 0) return false;
  if (opens.length === 0) return true;
  const rows = [...opens, ...stays];
  const isMine = (id: string) => reader.asks(id) && !reader.isTaken(id);
  const isTheirs = (id: string) => !reader.asks(id) && around.some((each) => each.reader.asks(id));
  return opens.some(isMine) || (stays.length > 0 && rows.some(isTheirs) && rows.some(isMine));
}

function stepOf(step: GuideStep, reader: Reader, around: Around): BlockStep {
  const { situation } = reader.job;
  const { id, title, part, where, protect, wrong, look, caution, ask } = step;
  const wishes = (rows: readonly string[] = []) => rows.flatMap((row) => wishAt(row, reader, around));
  return {
    ...{ id, title, part, where, protect, wrong, look, caution, ask, with: step.with },
    hand: step.hand ?? '',
    isFirstPull: step.first === true,
    level: levelOf(step),
    ...placeIn(situation, step.break),
    line: { saw: step.line?.saw ?? [], knife: step.line?.knife ?? [] },
    stays: wishes(step.stays),
    off: wishes(step.opens),
    stops: stopsAt(step, reader),
    weigh: (step.weigh ?? []).filter((piece) => isOf(situation, piece)),
  };
}

function wishAt(row: string, reader: Reader, around: Around): BlockWish[] {
  if (!reader.asks(row)) {
    const theirs = around.find((each) => each.reader.asks(row));
    return theirs ? [theirs.reader.wish(row, theirs.name, [])] : [];
  }
  const mine = reader.wordsOf(row);
  const others = around
    .filter((each) => each.reader.asks(row) && !isDeepEqual(each.reader.wordsOf(row), mine))
    .flatMap(({ name, reader: theirs }) => theirs.wordsOf(row).map((words) => ({ name, ...words })));
  return [reader.wish(row, '', others)];
}

function stopsAt({ stops = [] }: GuideStep, reader: Reader): BlockStop[] {
  const flags = reader.job.situation.condition?.flags ?? [];
  return stops.flatMap(({ wishes = {}, flag, says, because }) => {
    const wanted = reader.wants(wishes);
    if (wanted.length === 0 && !(flag !== undefined && flags.includes(flag))) return [];
    return [{ says, because, stake: wanted.flatMap((decision) => reader.cutsOf(decision)) }];
  });
}

const BONES = { T: 'rib', L: 'loin bone' } as const;

/** Where the shop breaks; the side hangs by its hind leg, so the bones behind the place stay up. */
function placeIn(
  { species, school, breaks }: Situation,
  breakId: string | undefined,
): Pick<BlockStep, 'place' | 'counted'> {
  const found = species.breaks.find(({ id }) => id === breakId);
  if (!found) return { place: '', counted: null };
  const place = placeOf(found, breakPlan(species, school, breaks)[found.id]!);
  const [, kind, number] = /^([TL])(\d+)$/.exec(place.behind ?? '') ?? [];
  const bone = BONES[kind as 'T' | 'L'] as Counted['bone'] | undefined;
  const counted = bone ? { stay: Number(number) + 1, off: Number(number), bone } : null;
  return { place: place.label, counted };
}

function isOf({ species, part = 'side' }: Situation, piece: string): boolean {
  const found = species.guide!.pieces.find(({ id }) => id === piece)!;
  return part === 'side' || found.part === part;
}
