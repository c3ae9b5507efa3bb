import { failure, success, type Result } from '../quantity/result';
import { convertUnits, type Weight } from '../quantity/weight';
import { houseAnswer, houseWay } from '../sheet/houseSheet';
import { defaultOf } from '../sheet/params';
import { optionById, type Situation } from '../sheet/situation';
import type { Answer, Form } from '../sheet/types';
import type { Decision, ParamSpec } from '../species/types';
import type { SetUpChange } from './types';

type HouseChange = Extract<SetUpChange, { readonly kind: 'house' }>;

/** Whether an answer is what the house says already. */
export function isHouses(decision: Decision, answer: Answer, situation: Situation): boolean {
  const says = houseAnswer(decision, situation);
  return (
    says.forms.length === answer.forms.length &&
    says.forms.every((form, at) => isSame(form, answer.forms[at]!, decision))
  );
}

function isSame(one: Form, other: Form, decision: Decision): boolean {
  return (
    one.option === other.option &&
    other.amount.kind === 'rest' &&
    (optionById(decision, one.option).params ?? []).every(({ id }) => one.params[id] === other.params[id])
  );
}

/** What the house's reason is now, as a beginning for the next one. */
export function reasonNow(decision: Decision, situation: Situation): string {
  return houseWay(decision, situation).reason;
}

/**
 * The step after which the house answers a decision as somebody just did, its sizes with it.
 *
 * @param reason - what the customer is told
 */
export function houseFromAnswer(
  decision: Decision,
  { forms }: Answer,
  { situation, reason }: { readonly situation: Situation; readonly reason: string },
): Result<HouseChange, 'invalid'> {
  const [first, second, ...more] = forms;
  if (!first || more.length > 0 || forms.some(({ amount }) => amount.kind !== 'rest')) {
    return failure(
      'invalid',
      'The house says one way, or two that each have their own place. How much of each is for the customer to say.',
    );
  }
  const usual = forms.flatMap((form) =>
    (optionById(decision, form.option).params ?? []).flatMap(
      (spec): [string, number | boolean | string][] => {
        const value = form.params[spec.id];
        if (value === undefined || value === defaultOf(spec, situation.unit)) return [];
        return [[`${decision.id}.${form.option}.${spec.id}`, inPounds(spec, value, situation)]];
      },
    ),
  );
  return success({
    kind: 'house',
    species: situation.species.id,
    decision: decision.id,
    says: { option: first.option, ...(second ? { then: second.option } : {}), reason },
    ...(usual.length > 0 ? { usual: Object.fromEntries(usual) } : {}),
  });
}

/** A value as the set-up keeps it: weights in pounds, everything else as it is on a sheet. */
function inPounds(
  { kind }: ParamSpec,
  value: number | boolean | string,
  { unit }: Situation,
): number | boolean | string {
  return kind === 'weight' ? convertUnits(value as Weight, unit, 'lb') / 1000 : value;
}
