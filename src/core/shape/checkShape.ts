import type Joi from 'joi';
import { failure, success, type Result } from '../quantity/result';
import { SHAPE_WORDS } from './words';

/** More than these tell nobody anything new, and an answer must not be longer than its question. */
const MOST_PROBLEMS = 20;

const PREFERENCES: Joi.AsyncValidationOptions = {
  abortEarly: false,
  convert: true,
  messages: { ...SHAPE_WORDS },
  errors: { label: 'key', wrap: { label: false, array: false, string: false } },
};

/** Checks a value against a schema; the failure names the fields that are wrong, not only the first. */
export function checkShape<T>(schema: Joi.Schema<T>, raw: unknown): Result<T, 'invalid'> {
  const { value, error } = schema.validate(raw, PREFERENCES);
  if (!error) return success(value as T);
  const problems = error.details
    .slice(0, MOST_PROBLEMS)
    .map((detail) => ({ field: detail.path.join('.'), message: sentence(detail.message) }));
  return { ...failure('invalid', problems[0]!.message, problems[0]!.field), problems };
}

/** A field's name begins its sentence: `farmName is missing.` becomes `Farm name is missing.` */
function sentence(message: string): string {
  const [name = '', ...rest] = message.split(' ');
  const spaced = name.replace(
    /([a-z])([A-Z])/g,
    (_, end: string, start: string) => `${end} ${start.toLowerCase()}`,
  );
  return [spaced.charAt(0).toUpperCase() + spaced.slice(1), ...rest].join(' ');
}
