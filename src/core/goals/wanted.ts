import isDeepEqual from 'fast-deep-equal';
import { localName } from '../forecast/lines';
import { evaluate, judge, type Ground } from '../questions/evaluate';
import { formOf, withAnswer } from '../sheet/houseSheet';
import { decisionsAsked, whyNotOffered } from '../sheet/situation';
import type { Option } from '../species/types';
import { cutsOf } from '../sheet/params';
import type { Answer, Form, Sheet } from '../sheet/types';
import { solve } from '../solver/solve';

/** A share whose sheet may be changed so that enough of what sells comes of it. */
export type WantedShare = {
  readonly shareId: string;
  readonly ground: Ground;
  readonly sheet: Sheet;
  /** An approved one counts with what it gives, and stays as it is. */
  readonly mayChange: boolean;
};

/** So many packs of a cut are to be had over all shares; those that lie in the freezer already count. */
export type Want = { readonly cut: string; readonly packs: number; readonly inFreezer: number };

/** One row of one share that is answered otherwise. */
export type RowChanged = { readonly shareId: string; readonly decision: string; readonly answer: Answer };

/** What is wanted, divided over the shares: the fewest rows that are to change, and what then comes of it. */
export type Divided = {
  readonly changes: readonly RowChanged[];
  /** Every cut that was wanted: packs that come of the shares as they are, and as they would be. */
  readonly gives: readonly (Want & { readonly now: number; readonly then: number })[];
};

type Way = RowChanged & {
  /** Packs of each wanted cut that it gives more than the row as it stands, in their order. */
  readonly more: readonly number[];
};

/** Rows of one animal touch each other a little: what was found is worked out whole, and asked for again with what lacked. */
const ROUNDS = 4;
/** A pack that lacks is worse than any number of rows; one too many is worth less than a row. */
const [LACKING, TOO_MANY] = [1000, 0.01];

/** Divides what is wanted over the shares. Those of one species, in one shop. */
export async function divideWanted(shares: readonly WantedShare[], wants: readonly Want[]): Promise<Divided> {
  const cuts = wants.map(({ cut }) => cut);
  const now = packsOver(shares, cuts);
  const ways = waysOver(shares, cuts);
  const needed = wants.map(({ packs, inFreezer }) => Math.max(0, packs - inFreezer));
  let asked = needed;
  let best: { changes: readonly Way[]; then: readonly number[]; lacks: number } = {
    changes: [],
    then: now,
    lacks: lacking(needed, now),
  };
  for (let round = 0; round < ROUNDS && best.lacks > 0 && ways.length > 0; round += 1) {
    const changes = await fewestRows(
      ways,
      asked.map((packs, at) => packs - now[at]!),
    );
    const then = packsOver(changed(shares, changes), cuts);
    const lacks = lacking(needed, then);
    if (lacks < best.lacks) best = { changes, then, lacks };
    asked = asked.map((packs, at) => packs + Math.max(0, needed[at]! - then[at]!));
  }
  return {
    changes: best.changes.map(({ shareId, decision, answer }) => ({ shareId, decision, answer })),
    gives: wants.map((want, at) => ({ ...want, now: now[at]!, then: best.then[at]! })),
  };
}

/** The sheets with rows answered otherwise. */
export function changed<Share extends Pick<WantedShare, 'shareId' | 'sheet'>>(
  shares: readonly Share[],
  changes: readonly RowChanged[],
): Share[] {
  return shares.map((share) => ({
    ...share,
    sheet: changes
      .filter(({ shareId }) => shareId === share.shareId)
      .reduce((sheet, { decision, answer }) => withAnswer(sheet, decision, answer), share.sheet),
  }));
}

function lacking(needed: readonly number[], packs: readonly number[]): number {
  return needed.reduce((sum, each, at) => sum + Math.max(0, each - packs[at]!), 0);
}

function packsOf(ground: Ground, sheet: Sheet, cuts: readonly string[]): number[] {
  const { lines } = evaluate(ground, sheet).forecast;
  return cuts.map((cut) => lines.reduce((sum, line) => sum + (line.cut === cut ? line.packs : 0), 0));
}

function packsOver(shares: readonly WantedShare[], cuts: readonly string[]): number[] {
  return shares
    .map(({ ground, sheet }) => packsOf(ground, sheet, cuts))
    .reduce(
      (sum, packs) => sum.map((each, at) => each + packs[at]!),
      cuts.map(() => 0),
    );
}

/** Every row that gives more of something wanted when it is answered in one other way, and asks nothing new by that. */
function waysOver(shares: readonly WantedShare[], cuts: readonly string[]): Way[] {
  return shares.filter(({ mayChange }) => mayChange).flatMap((share) => waysOf(share, cuts));
}

function waysOf({ ground, sheet, shareId }: WantedShare, cuts: readonly string[]): Way[] {
  const { situation } = ground;
  const now = packsOf(ground, sheet, cuts);
  const asked = questionsOf(ground, sheet);
  const gives = ({ products }: Option) =>
    products.some((product) => cutsOf(product).some((cut) => cuts.includes(localName(situation, cut))));
  return decisionsAsked(situation).flatMap((decision) =>
    decision.options
      .filter((option) => gives(option) && !whyNotOffered(option, situation))
      .flatMap((option) => freshAndCured(option, formOf(decision, option.id, situation)))
      .flatMap((form): Way[] => {
        const answer: Answer = { forms: [form] };
        if (isDeepEqual(answer, sheet.answers[decision.id])) return [];
        const other = withAnswer(sheet, decision.id, answer);
        const more = packsOf(ground, other, cuts).map((packs, at) => packs - now[at]!);
        if (more.every((packs) => packs <= 0) || questionsOf(ground, other) > asked) return [];
        return [{ shareId, decision: decision.id, answer, more }];
      }),
  );
}

/** A form in the house's sizes as it is, and fresh and cured where its meat can be either. */
function freshAndCured({ products, params: specs = [] }: Option, form: Form): Form[] {
  const params = [...new Set(products.flatMap(({ cure }) => cure?.param ?? []))];
  const isOffered = (param: string, said: string) =>
    specs.some((spec) => spec.id === param && spec.kind === 'choice' && said in spec.options);
  return [
    form,
    ...params.flatMap((param) =>
      ['fresh', 'cured']
        .filter((said) => form.params[param] !== said && isOffered(param, said))
        .map((said) => ({ ...form, params: { ...form.params, [param]: said } })),
    ),
  ];
}

/** How much on a sheet somebody must answer before it goes to the floor. */
function questionsOf(ground: Ground, sheet: Sheet): number {
  return judge(ground, sheet).findings.filter(({ blocks }) => blocks).length;
}

/**
 * The fewest rows whose changes together give so many packs more; where there are not enough, as many as can be.
 *
 * @param wanted - packs of each cut that are to come on top of what there is; below 0 where there are more than enough
 */
async function fewestRows(ways: readonly Way[], wanted: readonly number[]): Promise<Way[]> {
  const names = ways.map((_, at) => `w${at}`);
  const rows = new Map<string, string[]>();
  for (const [at, { shareId, decision }] of ways.entries()) {
    const row = `${shareId} ${decision}`;
    rows.set(row, [...(rows.get(row) ?? []), names[at]!]);
  }
  const more = (cut: number) =>
    ways
      .flatMap((way, at) => (way.more[cut] === 0 ? [] : [`${signed(way.more[cut]!)} ${names[at]!}`]))
      .join(' ');
  const model = [
    'Minimize',
    ` obj: ${names.join(' + ')} + ${wanted.map((_, cut) => `${LACKING} l${cut} + ${TOO_MANY} m${cut}`).join(' + ')}`,
    'Subject To',
    ...[...rows.values()].map((row, at) => ` one${at}: ${row.join(' + ')} <= 1`),
    ...wanted.map((packs, cut) => ` want${cut}: ${more(cut)} + l${cut} - m${cut} = ${packs}`),
    'Bounds',
    ...wanted.flatMap((_, cut) => [` 0 <= l${cut}`, ` 0 <= m${cut}`]),
    'Binary',
    ` ${names.join(' ')}`,
    'End',
  ].join('\n');
  const { values } = await solve(model);
  return ways.filter((_, at) => (values[names[at]!] ?? 0) > 0.5);
}

function signed(value: number): string {
  return value < 0 ? `- ${-value}` : `+ ${value}`;
}
