import { settingsOf, type Household, type Settings } from '@tender-crumb/core';
import { generate } from 'json-merge-patch';

/** As it goes over the wire: a field without a value is not there. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/**
 * What differs between what the household settled and what it settles now, field by field (RFC 7396):
 * what nobody touched is not sent, so that two tabs do not overwrite each other.
 *
 * @returns undefined where nothing differs
 * @example settingsPatch(household, {yeastKept: undefined}) // {yeastKept: null}
 */
export function settingsPatch(household: Household, change: Partial<Settings>): object | undefined {
  const before = plain(settingsOf(household));
  return generate(before, plain({ ...before, ...change })) as object | undefined;
}
