import { completeFormula, parcelFormat, renamed, type Labelled } from '@tender-crumb/core/exchange';
import type { Formula } from '@tender-crumb/core/formula';
import type { Label } from '@tender-crumb/core/ingredient';
import Joi from 'joi';
import { check } from '../boundary/check.ts';
import { sensibleFormula, sensibleLabel } from '../boundary/known.ts';
import { ownId } from '../boundary/ingredient-fields.ts';
import { formulaIn, labelBody } from '../boundary/schemas.ts';
import { inTransaction, type Database } from '../database/open.ts';
import { readSettings, saveSettings } from './household.ts';
import { addOwn, listLabels } from './own.ts';

/** Ingredients of a friend's own in one formula, at most. */
const mostOwn = 60;

const parcelBody = Joi.object<{
  format: string;
  formula: unknown;
  ingredients: Labelled[];
  each: Record<string, number>;
}>({
  format: Joi.valid(parcelFormat).required(),
  /** Judged by {@link formulaIn}. */
  formula: Joi.any().required(),
  ingredients: Joi.array()
    .items(Joi.object({ id: ownId.required(), label: labelBody.required() }))
    .max(mostOwn)
    .unique('id')
    .required(),
  each: Joi.object()
    .pattern(Joi.string().max(200), Joi.number().min(0.01).max(10_000))
    .max(200)
    .required(),
}).required();

const same = (a: Label, b: Label): boolean =>
  JSON.stringify(Object.entries(a).sort()) === JSON.stringify(Object.entries(b).sort());

/** Puts what came along into this house, where it is not there; gives the names that things have here. */
const settled = (
  db: Database,
  ingredients: readonly Labelled[],
  each: Readonly<Record<string, number>>,
): Promise<Record<string, string>> =>
  inTransaction(db, async (tx) => {
    const names: Record<string, string> = {};
    for (const { id, label } of ingredients) {
      const known = (await listLabels(tx)).find((l) => same(l.label, sensibleLabel(label)));
      names[id] = known?.id ?? (await addOwn(tx, label)).id;
    }
    const settings = await readSettings(tx);
    const fresh = Object.entries(each).flatMap(([key, grams]) => {
      const parts = key.split(':');
      const of = names[parts.at(-1)!] ?? parts.at(-1)!;
      const own = [...parts.slice(0, -1), of].join(':');
      return own in settings.each ? [] : [[own, grams] as const];
    });
    if (fresh.length > 0)
      await saveSettings(tx, {
        ...settings,
        each: { ...settings.each, ...Object.fromEntries(fresh) },
      });
    return names;
  });

/**
 * A formula that somebody sent: alone, or with what another kitchen cannot know, which is put into this one.
 *
 * @throws Problem 400 or 422 that names every fault and its place; then nothing was put anywhere
 */
export async function takeFormula(db: Database, body: unknown, root: string): Promise<Formula> {
  const parcel = (body as { format?: unknown } | null)?.format === parcelFormat;
  const { formula, ingredients, each } = parcel
    ? check(parcelBody, body as never, root)
    : { formula: body, ingredients: [], each: {} };
  const where = parcel ? `${root}.formula` : root;
  const given = completeFormula(sensibleFormula(formulaIn(formula, where), where));
  for (const { label } of ingredients) sensibleLabel(label);
  if (!parcel) return given;
  return renamed(given, await settled(db, ingredients, each));
}
