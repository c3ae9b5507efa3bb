import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { speciesIn } from '@/core/catalogue/catalogue';
import type { Share, Side, SideId } from '@/core/order/animal';
import { railLossQuestion } from '@/core/hang/railLoss';
import { netOf } from '@/core/order/standing';
import type { Origin, SideWeight } from '@/core/order/work';
import { success, type Result } from '@/core/quantity/result';
import { convertUnits, formatWeight, inUnits, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { SignedReading } from '@/core/scale/reading';
import type { Species } from '@/core/species/types';
import { startsOf } from '@/data/block';
import { bookedWith, sideById } from '@/data/book';
import { ticketsOfSides } from '@/data/hang';
import { readShop } from '@/data/setUp';
import { isOwner } from '../house/actor';
import { clientId, id, sure, thousandths, words } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { doneAt, takenAt } from '../house/takenAt';
import { defineUseCase, type House } from '../house/useCase';
import { holds, touchHolders } from './holders';
import { RAIL_HANDS } from './rails';
import { readingProblem, readingSchema } from '../wrap/reading';
import { writeTicket, type Ticket } from './writeTicket';

type Said = Omit<Ticket, 'remark' | 'origin' | 'gross' | 'at'> & {
  readonly takenAt?: string;
  /** Why an earlier ticket is corrected. */
  readonly reason: string;
  readonly sure: boolean;
} & OnScale;

export type OnScale =
  | { readonly gross: number }
  /** What the rail scale says; what it takes off itself is off already. */
  | { readonly reading: SignedReading };

type TicketAsked = Omit<Ticket, 'remark'> & Pick<Said, 'reason' | 'sure'>;

/** Writes a hot or cold ticket of a side. A later ticket of the same kind corrects the earlier one, and says why. */
export const weighSide = defineUseCase<Said, { sideId: SideId }>({
  name: 'weighSide',
  roles: RAIL_HANDS,
  writes: true,
  input: Joi.object({
    clientId,
    sideId: id,
    kind: Joi.valid('hot', 'cold').required(),
    gross: thousandths.positive(),
    reading: readingSchema,
    tare: thousandths.required(),
    reason: words(200).allow('').default(''),
    sure,
    takenAt,
  }).xor('gross', 'reading'),
  subject: (input) => `${input.kind} ${input.sideId}`,
  run: async (house, asked) => {
    const { unit } = await readShop(house.db);
    const weight = weighed(house, asked, unit);
    if (!weight.ok) return weight;
    const { clientId: requestId, sideId, kind, tare, reason, sure: isSure } = asked;
    return takeTicket(house, {
      clientId: requestId,
      sideId,
      kind,
      tare,
      reason,
      sure: isSure,
      at: doneAt(house, asked.takenAt),
      ...weight.value,
    });
  },
});

/** Writes a ticket of a side, if nothing speaks against it. */
export async function takeTicket(
  house: House,
  said: TicketAsked,
): Promise<Result<{ sideId: SideId }, Reason>> {
  const { unit } = await readShop(house.db);
  const side = await sideById(house.db, said.sideId);
  if (!side) return refuse('not-found', 'There is no such side on the rail.');
  const booked = await bookedWith(house.db, [side.animalId]);
  const animal = booked.animals.get(side.animalId)!;
  const sides = animal.unsplit ? booked.sides : [side];
  const input = sides.length === 1 ? said : halfOf(said, 0);
  const gone = await goneProblem(house, booked.shares, sides);
  if (gone) return gone;
  const species = speciesIn(house.catalogue, animal.species);
  const tickets = await ticketsOfSides(house.db, [side.id]);
  const odd = oddity(input, species, unit) ?? oddLoss(input, tickets);
  const refused =
    tareProblem(input) ??
    againstOther(input, tickets, unit) ??
    correctionProblem(house, input, tickets) ??
    (odd && (odd.impossible || !input.sure) ? odd.refusal : undefined);
  if (refused) return refused;
  const remark = [input.reason, odd?.refusal.message ?? ''].filter((said) => said !== '').join(' ');
  for (const [at, each] of sides.entries()) {
    // Of an animal that hangs in one piece each side has half; an odd thousandth is the first one's.
    const own = sides.length === 1 ? input : halfOf(said, at);
    await writeTicket(house, {
      ...own,
      clientId: at === 0 ? said.clientId : randomUUID(),
      sideId: each.id,
      remark,
    });
    touchHolders(house, booked.shares, each);
  }
  return success({ sideId: side.id });
}

/** What has gone to the block keeps its weight. */
export async function goneProblem(
  house: House,
  shares: readonly Share[],
  sides: readonly Side[],
): Promise<Refusal | undefined> {
  const holders = shares.filter((each) => !each.cancelled && sides.some((own) => holds(each, own)));
  const started = await startsOf(
    house.db,
    holders.map((share) => share.id),
  );
  if (started.size === 0) return undefined;
  return refuse('on-the-block', 'This side has gone to the block; its rail weight stands.');
}

/** What hangs on the scale, with where it is known from. */
export function weighed(
  house: House,
  said: OnScale,
  unit: WeighingUnit,
): Result<{ readonly gross: number; readonly origin: Origin }, Reason> {
  if (!('reading' in said)) return success({ gross: said.gross, origin: 'typed' });
  const noReading = readingProblem(house, said.reading, unit);
  return noReading ?? success({ gross: said.reading.net, origin: 'scale' });
}

/** One side of what was weighed in one piece. */
function halfOf(said: TicketAsked, at: number): TicketAsked {
  const half = (whole: number) => (at === 0 ? Math.ceil(whole / 2) : Math.floor(whole / 2));
  return { ...said, gross: half(said.gross), tare: half(said.tare) };
}

/** What is left off a weight is less than the weight. */
export function tareProblem({ gross, tare }: Pick<TicketAsked, 'gross' | 'tare'>): Refusal | undefined {
  if (tare < gross) return undefined;
  return refuse('tare-too-big', 'The tare is as heavy as the weight. Check hook and trolley.', 'tare');
}

function correctionProblem(
  house: House,
  ticket: TicketAsked,
  tickets: readonly SideWeight[],
): Refusal | undefined {
  const corrects = tickets.some((each) => each.kind === ticket.kind);
  if (corrects && ticket.reason === '' && !isOwner(house.actor)) {
    return refuse(
      'needs-a-reason',
      'This side has its weight. Say why it is corrected, or ask the owner.',
      'reason',
    );
  }
  return undefined;
}

function againstOther(
  ticket: TicketAsked,
  tickets: readonly SideWeight[],
  unit: WeighingUnit,
): Refusal | undefined {
  const { hot, cold } = weightsWith(ticket, tickets);
  if (hot === undefined) {
    return refuse(
      'no-hot-weight',
      'Write the hot weight first; the cold weight is measured against it.',
      'gross',
    );
  }
  if (cold === undefined || cold <= hot) return undefined;
  const [saysCold, saysHot] = [cold, hot].map((w) => `${formatWeight(w, unit)} ${unit}`);
  return refuse(
    'heavier-than-hot',
    `Cold ${saysCold} is more than hot ${saysHot}. Check tag and tare.`,
    'gross',
  );
}

/** Both weights of a side as they stand once this ticket is written. */
function weightsWith(ticket: TicketAsked, tickets: readonly SideWeight[]): { hot?: Weight; cold?: Weight } {
  const net = (kind: SideWeight['kind']) => {
    if (kind === ticket.kind) return { [kind]: (ticket.gross - ticket.tare) as Weight };
    const latest = tickets.findLast((each) => each.kind === kind);
    return latest ? { [kind]: netOf(latest) } : {};
  };
  return { ...net('hot'), ...net('cold') };
}

/** A cold weight far below the hot one is asked about, whichever of them is being written. */
function oddLoss(ticket: TicketAsked, tickets: readonly SideWeight[]): Oddity | undefined {
  const { hot, cold } = weightsWith(ticket, tickets);
  const question = hot !== undefined && cold !== undefined ? railLossQuestion(hot, cold) : undefined;
  return question ? { refusal: refuse('unusual', question, 'gross'), impossible: false } : undefined;
}

type Oddity = { readonly refusal: Refusal; readonly impossible: boolean };

/** Of the reference side of the species: beyond the first pair somebody says yes twice, beyond the second nobody can. */
const ODD = { least: 0.5, most: 1.8 } as const;
const IMPOSSIBLE = { least: 0.12, most: 4 } as const;

function oddity(
  { gross, tare }: TicketAsked,
  { atlas, limits, name, sideWord }: Species,
  unit: WeighingUnit,
): Oddity | undefined {
  const net = (gross - tare) as Weight;
  const times = convertUnits(inUnits(net), unit, 'lb') / atlas.reference.sideLb;
  const lb = times * atlas.reference.sideLb;
  const isUsual = limits
    ? lb >= limits.lightLb && lb <= limits.heavyLb
    : times >= ODD.least && times <= ODD.most;
  if (isUsual) return undefined;
  const usual = convertUnits(atlas.reference.sideLb, 'lb', unit).toFixed(0);
  const says = `${formatWeight(net, unit)} ${unit} for a ${sideWord}, where ${usual} ${unit} is usual.`;
  const impossible = times < IMPOSSIBLE.least || times > IMPOSSIBLE.most;
  const refusal = impossible
    ? refuse(
        'not-that-animal',
        `${says} No ${name.toLowerCase()} weighs that; check tag, tare and decimal point.`,
        'gross',
      )
    : refuse('unusual', says, 'gross');
  return { refusal, impossible };
}
