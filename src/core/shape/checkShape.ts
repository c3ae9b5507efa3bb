import type Joi from 'joi';
import { failure, success, type Result } from '../quantity/result';

/** Checks a value against a schema; the failure names every field that is wrong, not only the first. */
export function checkShape<T>(schema: Joi.Schema<T>, raw: unknown): Result<T, 'invalid'> {
  const { value, error } = schema.validate(raw, { abortEarly: false, convert: true });
  if (!error) return success(value as T);
  const problems = error.details.map((detail) => ({ field: detail.path.join('.'), message: detail.message }));
  return { ...failure('invalid', problems[0]!.message, problems[0]!.field), problems };
}
