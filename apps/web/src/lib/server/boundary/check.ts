import type Joi from 'joi';
import { Problem, type Fault } from '../problem.ts';

const where = (path: ReadonlyArray<string | number>, root: string): string =>
  path.reduce<string>((at, key) => at + (typeof key === 'number' ? `[${key}]` : `.${key}`), root);

/**
 * A value that a schema has let through.
 *
 * @param root what the value is called where it came from: `body`, `query`
 * @throws Problem 400 that names every fault and its place
 */
export function check<T>(schema: Joi.Schema<T>, value: unknown, root: string): T {
  const result = schema.validate(value, { abortEarly: false, convert: root === 'query' });
  if (!result.error) return result.value as T;
  const faults: Fault[] = result.error.details.slice(0, 20).map((d) => ({
    where: where(d.path, root),
    what: d.message.replace(/^"[^"]*" /, ''),
  }));
  throw new Problem(400, 'Something in it is not right', faults);
}
