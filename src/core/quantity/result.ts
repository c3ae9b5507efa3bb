/** What is wrong with a field, in words; the field is a path such as `answers.butt.forms[0].params.thickness`. */
export type FieldProblem = { readonly field: string; readonly message: string };

/** An expected failure: a closed reason, a sentence for the person, and the field it concerns when there is one. */
export type Failure<Reason extends string = string> = {
  readonly ok: false;
  readonly reason: Reason;
  readonly message: string;
  readonly field?: string;
  /** Everything that is wrong, when there is more than one thing. */
  readonly problems?: readonly FieldProblem[];
};

export type Success<T> = { readonly ok: true; readonly value: T };

/** What every fallible operation returns: a value, or a reason that the caller can show. */
export type Result<T, Reason extends string = string> = Success<T> | Failure<Reason>;

export function success<T>(value: T): Success<T> {
  return { ok: true, value };
}

export function failure<Reason extends string>(
  reason: Reason,
  message: string,
  field?: string,
): Failure<Reason> {
  return field === undefined ? { ok: false, reason, message } : { ok: false, reason, message, field };
}
