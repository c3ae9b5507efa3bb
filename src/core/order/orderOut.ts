import { inUnits, type Weight } from '../quantity/weight';
import { optionById, type Situation } from '../sheet/situation';
import type { Amount, Answer, Form, Sheet } from '../sheet/types';
import type { Person } from './animal';
import type {
  AmountDocument,
  FormDocument,
  OrderDocument,
  PersonDocument,
  ShareDocument,
  SheetDocument,
} from './document';
import type { ShareFile } from './shareFile';
import { netOf } from './standing';

/**
 * The open order file of an animal: what was booked, weighed and asked, so that the file works out to what stands on the
 * screens.
 *
 * @param files - of every share of the animal that is not called off; at least one
 */
export function orderDocumentOf(files: readonly ShareFile[]): OrderDocument {
  const [first] = files as [ShareFile];
  const { animal, situation, shop } = first;
  const { school, breaks, condition } = situation;
  const carcass = {
    ...(school ? { school } : {}),
    ...(breaks ? { breaks } : {}),
    ...(condition ? { condition } : {}),
  };
  return {
    format: 'fractum.order',
    version: 1,
    unit: shop.unit,
    farm: personOut(animal.farm),
    animal: {
      tag: animal.tag,
      species: animal.species,
      ...(animal.sex ? { sex: animal.sex } : {}),
      killDate: animal.killDate,
      inspection: animal.inspection,
      ...(Object.keys(animal.facts).length > 0 ? { facts: animal.facts } : {}),
      ...(animal.unsplit ? { unsplit: true } : {}),
      ...(animal.addOns.length > 0 ? { addOns: animal.addOns } : {}),
      ...(Object.keys(carcass).length > 0 ? { carcass } : {}),
    },
    shares: files.map(shareOut),
    ...weightsOut([...first.sides, ...first.otherSides]),
  };
}

function personOut({ name, phone, email }: Person): PersonDocument {
  return { name, ...(phone ? { phone } : {}), ...(email ? { email } : {}) };
}

function shareOut({ share, sheet, situation, together }: ShareFile): ShareDocument {
  const { owner, payer, contact, part, sharePct, deposit } = share;
  const decides = together[0]!.id === share.id;
  return {
    part,
    ...(sharePct === 100 ? {} : { sharePct }),
    owner: personOut(owner),
    ...(payer.id === owner.id ? {} : { payer: personOut(payer) }),
    ...(contact.id === owner.id ? {} : { contact: personOut(contact) }),
    ...(deposit > 0 ? { deposit: deposit / 100 } : {}),
    ...(sheet && decides ? { sheet: sheetOut(sheet.sheet, situation) } : {}),
  };
}

function weightsOut(sides: readonly ShareFile['sides'][number][]): Pick<OrderDocument, 'weights'> {
  const weights: { left?: { hot?: number; cold?: number }; right?: { hot?: number; cold?: number } } = {};
  for (const { side, hot, cold } of sides) {
    if (!hot && !cold) continue;
    weights[side.position] = {
      ...(hot ? { hot: inUnits(netOf(hot)) } : {}),
      ...(cold ? { cold: inUnits(netOf(cold)) } : {}),
    };
  }
  return Object.keys(weights).length > 0 ? { weights } : {};
}

/** A sheet as a file has it, weights in the shop's unit: read again it is the same sheet. */
export function sheetOut(sheet: Sheet, situation: Situation): SheetDocument {
  const answersOut = (answers: Readonly<Record<string, Answer>>) =>
    Object.fromEntries(
      Object.entries(answers).map(([id, { forms }]) => [
        id,
        forms.map((form) => formOut(id, form, situation)),
      ]),
    );
  return {
    answers: answersOut(sheet.answers),
    ...(Object.keys(sheet.secondSide).length > 0 ? { secondSide: answersOut(sheet.secondSide) } : {}),
    keeps: sheet.keeps,
    grind: {
      fatPct: sheet.grind.fatPct,
      lines: sheet.grind.lines.map(({ recipe, form, amount, packWeight, size }) => ({
        recipe,
        form,
        amount: amount.kind === 'rest' ? ('rest' as const) : { weight: inUnits(amount.weight) },
        packWeight: inUnits(packWeight),
        ...(size === undefined ? {} : { size }),
      })),
      ...(sheet.grind.picked === undefined ? {} : { picked: sheet.grind.picked }),
    },
    ...(sheet.offal ? { offal: sheet.offal } : {}),
    wrap: sheet.wrap,
    instructions: sheet.instructions,
  };
}

function formOut(
  id: string,
  { option: optionId, amount, params, otherwise }: Form,
  { species }: Situation,
): FormDocument {
  const decision = species.decisions.find((each) => each.id === id);
  const specs = decision ? (optionById(decision, optionId).params ?? []) : [];
  const isWeight = (name: string) => specs.some((spec) => spec.id === name && spec.kind === 'weight');
  const said = Object.entries(params).map(([name, value]) => [
    name,
    isWeight(name) ? inUnits(value as Weight) : value,
  ]);
  return {
    option: optionId,
    amount: amountOut(amount),
    params: Object.fromEntries(said) as Form['params'],
    ...(otherwise === undefined ? {} : { otherwise }),
  };
}

function amountOut(amount: Amount): AmountDocument {
  const each = 'eachSide' in amount && amount.eachSide ? { eachSide: true } : {};
  switch (amount.kind) {
    case 'rest':
      return 'rest';
    case 'share':
      return { sharePct: amount.pct };
    case 'length':
      return { inches: amount.inches };
    case 'packs':
      return { packs: amount.count, ...each };
    case 'pieces':
      return { pieces: amount.count, ...each };
    case 'weight':
      return { weight: inUnits(amount.weight), ...each };
  }
}
