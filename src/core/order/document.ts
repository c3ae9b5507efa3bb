import { parseLength } from '../quantity/length';
import { weight, convertUnits, type WeighingUnit, type Weight } from '../quantity/weight';
import type { CarcassFacts } from '../carcass/condition';
import type { InspectionClass } from '../label/label';
import type { AnimalFacts } from './animal';
import type { SharePart } from '../shares/parts';
import { emptySheet, houseSheet } from '../sheet/houseSheet';
import { defaultParams, spokenWeight } from '../sheet/params';
import { decisionsAsked, type Situation } from '../sheet/situation';
import { sheetProblems } from '../sheet/sheetProblems';
import type { FieldProblem } from '../quantity/result';
import type { Amount, Answer, Form, GrindOrder, ParamValues, Sheet, Wrap } from '../sheet/types';
import type { GrindForm, Option } from '../species/types';

/** A person of an order, in the open order file. */
export type PersonDocument = { readonly name: string; readonly phone?: string; readonly email?: string };

export type AmountDocument =
  | 'rest'
  | { readonly sharePct: number }
  | { readonly packs: number; readonly eachSide?: boolean }
  | { readonly pieces: number; readonly eachSide?: boolean }
  | { readonly weight: number; readonly eachSide?: boolean }
  | { readonly inches: number };

export type FormDocument = {
  readonly option: string;
  readonly amount?: AmountDocument;
  readonly params?: Readonly<Record<string, number | boolean | string>>;
  /** Another option that the cutter may take when the piece does not look right for this one. */
  readonly otherwise?: string;
};

export type SheetDocument = {
  /** Fills what `answers` leaves open with the house standard. */
  readonly houseForTheRest?: boolean;
  readonly answers?: Readonly<Record<string, readonly FormDocument[]>>;
  readonly secondSide?: Readonly<Record<string, readonly FormDocument[]>>;
  readonly keeps?: Readonly<Record<string, boolean>>;
  readonly grind?: {
    readonly fatPct?: number;
    readonly lines?: readonly {
      readonly recipe: string;
      readonly form: GrindForm;
      readonly amount?: 'rest' | { readonly weight: number };
      readonly packWeight?: number;
      readonly size?: string;
    }[];
    readonly picked?: boolean;
  };
  /** Offal that is asked for at the kill floor. */
  readonly offal?: readonly string[];
  readonly wrap?: Wrap;
  readonly instructions?: string;
};

export type ShareDocument = {
  readonly part: SharePart;
  /** Percent of the part's packages, where several households share it; their sheet is the first one's. */
  readonly sharePct?: number;
  readonly owner: PersonDocument;
  readonly payer?: PersonDocument;
  readonly contact?: PersonDocument;
  readonly deposit?: number;
  readonly sheet?: SheetDocument;
};

/** The open order file: an animal, who owns which part of it, and their sheets. Weights in `unit`. */
export type OrderDocument = {
  readonly format: 'fractum.order';
  readonly version: 1;
  readonly unit: WeighingUnit;
  readonly farm: PersonDocument;
  readonly animal: {
    readonly tag: string;
    readonly species: string;
    readonly sex?: string;
    readonly killDate: string;
    readonly inspection: InspectionClass;
    readonly facts?: AnimalFacts;
    /** Hangs in one piece, weighed once. */
    readonly unsplit?: boolean;
    readonly addOns?: readonly string[];
    readonly carcass?: CarcassFacts;
  };
  readonly shares: readonly ShareDocument[];
  /** What nobody has bought yet: the farm's until it is sold. A part that is named nowhere is the farm's as well. */
  readonly unsold?: readonly { readonly part: SharePart; readonly sharePct?: number }[];
  readonly weights?: {
    readonly left?: { readonly hot?: number; readonly cold?: number };
    readonly right?: { readonly hot?: number; readonly cold?: number };
  };
};

/** A weight of the file in the shop's unit. */
export function documentWeight(value: number, from: WeighingUnit, shop: WeighingUnit): Weight {
  return weight(convertUnits(value, from, shop));
}

/** A sheet read from a file, with every field that its species does not know or allow. */
export type ReadSheet = { readonly sheet: Sheet; readonly problems: readonly FieldProblem[] };

/**
 * Reads the sheet of an order file. Lengths may be said as people say them; weights are in the file's unit.
 *
 * @param from - the unit of the file's weights
 */
export function readSheet(document: SheetDocument, situation: Situation, from: WeighingUnit): ReadSheet {
  const unreadable: FieldProblem[] = [];
  const base = document.houseForTheRest ? houseSheet(situation) : emptySheet(situation);
  const read = (where: 'answers' | 'secondSide') =>
    Object.fromEntries(
      Object.entries(document[where] ?? {}).map(([id, forms]) => [
        id,
        readAnswer(id, forms, { field: `${where}.${id}`, situation, from, unreadable }),
      ]),
    );
  const sheet: Sheet = {
    ...base,
    answers: { ...base.answers, ...read('answers') },
    secondSide: read('secondSide'),
    keeps: { ...base.keeps, ...document.keeps },
    ...(document.offal ? { offal: document.offal } : {}),
    grind: readGrind(document.grind, base.grind, { situation, from }),
    wrap: document.wrap ?? base.wrap,
    instructions: document.instructions ?? '',
  };
  const problems = [
    ...secondSideProblem(document, situation),
    ...unreadable,
    ...sheetProblems(situation, sheet),
  ];
  return { sheet, problems: problems.map(({ field, message }) => ({ field: asWritten(field), message })) };
}

/** The field as the file has it: a list of forms stands at the decision itself, an amount has its own key. */
function asWritten(field: string): string {
  return field.replace('.forms[', '[');
}

function secondSideProblem({ secondSide }: SheetDocument, { sides }: Situation): FieldProblem[] {
  if (sides === 2 || Object.keys(secondSide ?? {}).length === 0) return [];
  return [{ field: 'secondSide', message: 'This share is one side: it has no second one.' }];
}

type Reading = Units & {
  /** Where in the file it stands. */
  readonly field: string;
  readonly unreadable: FieldProblem[];
};

/** What a file's weights are read into, and the unit they are said in. */
type Units = { readonly situation: Situation; readonly from: WeighingUnit };

function readAnswer(id: string, forms: readonly FormDocument[], reading: Reading): Answer {
  const decision = decisionsAsked(reading.situation).find((each) => each.id === id);
  return {
    forms: forms.map((form, at) => {
      const option = decision?.options.find((each) => each.id === form.option);
      return readForm(form, option, { ...reading, field: `${reading.field}.forms[${at}]` });
    }),
  };
}

function readForm(form: FormDocument, option: Option | undefined, reading: Reading): Form {
  const amount = readAmount(form.amount ?? 'rest', reading);
  const otherwise = form.otherwise === undefined ? {} : { otherwise: form.otherwise };
  if (!option) return { option: form.option, amount, params: {}, ...otherwise };
  const said = Object.entries(form.params ?? {}).map(([id, value]): [string, ParamValues[string]] => {
    const spec = option.params?.find((each) => each.id === id);
    if (spec?.kind === 'weight' && typeof value === 'number') {
      return [id, documentWeight(value, reading.from, reading.situation.unit)];
    }
    if (spec?.kind === 'weight' && typeof value === 'string') {
      const spoken = spokenWeight(value, reading.from);
      if (spoken) return [id, documentWeight(spoken.value, spoken.unit, reading.situation.unit)];
      const message = `"${value}" is no weight: write 3.5, 3.5 lb or 3 to 4 lb.`;
      reading.unreadable.push({ field: `${reading.field}.params.${id}`, message });
      return [id, defaultParams(option, reading.situation.unit)[id]!];
    }
    if (spec?.kind !== 'length' || typeof value !== 'string') return [id, value];
    const parsed = parseLength(value, { ...spec, words: spec.words ?? {} });
    if (parsed.ok) return [id, parsed.value];
    reading.unreadable.push({ field: `${reading.field}.params.${id}`, message: parsed.message });
    return [id, spec.defaultIn];
  });
  const params = { ...defaultParams(option, reading.situation.unit), ...Object.fromEntries(said) };
  return { option: form.option, amount, params, ...otherwise };
}

function readAmount(amount: AmountDocument, { situation, from }: Units): Amount {
  if (amount === 'rest') return { kind: 'rest' };
  if ('sharePct' in amount) return { kind: 'share', pct: amount.sharePct };
  if ('inches' in amount) return { kind: 'length', inches: amount.inches };
  const eachSide = amount.eachSide ? { eachSide: true } : {};
  if ('packs' in amount) return { kind: 'packs', count: amount.packs, ...eachSide };
  if ('pieces' in amount) return { kind: 'pieces', count: amount.pieces, ...eachSide };
  return { kind: 'weight', weight: documentWeight(amount.weight, from, situation.unit), ...eachSide };
}

function readGrind(grind: SheetDocument['grind'], house: GrindOrder, { situation, from }: Units): GrindOrder {
  const inShop = (value: number) => documentWeight(value, from, situation.unit);
  const usual = house.lines[0]!.packWeight;
  return {
    fatPct: grind?.fatPct ?? house.fatPct,
    lines:
      grind?.lines?.map((line) => ({
        recipe: line.recipe,
        form: line.form,
        amount:
          line.amount === undefined || line.amount === 'rest'
            ? { kind: 'rest' }
            : { kind: 'weight', weight: inShop(line.amount.weight) },
        packWeight: line.packWeight === undefined ? usual : inShop(line.packWeight),
        ...(line.size === undefined ? {} : { size: line.size }),
      })) ?? house.lines,
    ...(grind?.picked === undefined ? {} : { picked: grind.picked }),
  };
}
