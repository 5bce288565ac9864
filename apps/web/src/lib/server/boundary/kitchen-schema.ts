import {
  mostBakers,
  usualBaker,
  type Baker,
  type Custom,
  type TriedHand,
} from '@tender-crumb/core/household';
import { taskDoughs } from '@tender-crumb/core/learn';
import {
  applianceKindIds,
  crustIds,
  machineSizeIds,
  mixerTakes,
  machineStageKindIds,
  panGrams,
  panKindIds,
  panMillilitres,
  programmeUseIds,
  steamIds,
  type Appliance,
  type Machine,
  type Pan,
  type Programme,
} from '@tender-crumb/core/machine';
import Joi from 'joi';
import { named, plainId } from './fields.ts';

const name = named(60);
const choice = (of: readonly string[]) => Joi.string().valid(...of);
/** A programme, and a stage of it, is no longer than a day. */
const minutes = Joi.number()
  .min(0)
  .max(24 * 60);

const programme = Joi.object<Programme>({
  id: plainId.required(),
  label: name.required(),
  use: choice(programmeUseIds).required(),
  stages: Joi.array()
    .items(
      Joi.object({
        kind: choice(machineStageKindIds).required(),
        minutes: minutes.required(),
        celsius: Joi.number().min(0).max(300),
      }),
    )
    .min(1)
    .max(20)
    .required(),
  signal: minutes,
  delays: Joi.boolean().required(),
});

const machine = Joi.object<Machine>({
  label: name.required(),
  loading: choice(['liquids-first', 'dry-first']).required(),
  paddles: Joi.number().integer().min(1).max(4).required(),
  sizes: Joi.array().items(choice(machineSizeIds)).min(1).max(6).unique().required(),
  programmes: Joi.array().items(programme).min(1).max(30).unique('id').required(),
  crusts: Joi.array().items(choice(crustIds)).min(1).max(3).unique().required(),
  mostDelay: Joi.number().min(0).max(24).required(),
  coatedPan: Joi.boolean().required(),
});

/** What a household bakes with. */
export const appliancesField = Joi.array()
  .items(
    Joi.object<Appliance>({
      id: plainId.required(),
      kind: choice(applianceKindIds).required(),
      name: name.required(),
      holds: Joi.number().integer().min(1).max(20).required(),
      offset: Joi.number().min(-60).max(60),
      fan: Joi.boolean(),
      lowest: Joi.number().min(20).max(150),
      steam: choice(steamIds),
      takes: Joi.number().min(mixerTakes[0]).max(mixerTakes[1]),
      machine,
    }),
  )
  .max(30)
  .unique('id');

/** What it bakes and mixes in. */
export const pansField = Joi.array()
  .items(
    Joi.object<Pan>({
      id: plainId.required(),
      kind: choice(panKindIds).required(),
      name: name.required(),
      millilitres: Joi.number().min(panMillilitres[0]).max(panMillilitres[1]),
      grams: Joi.number().min(panGrams[0]).max(panGrams[1]),
    }),
  )
  .max(60)
  .unique('id');

export const customField = Joi.object<Custom>({
  name: name.required(),
  fromFlour: Joi.number().min(100).max(50_000).required(),
  grams: Joi.number().min(1).max(5000).required(),
});

export const bakersField = Joi.array()
  .items(
    Joi.object<Baker>({
      id: plainId.required(),
      name: name.required(),
      felt: Joi.object<TriedHand>({
        flour: plainId.required(),
        on: Joi.string().isoDate().max(10).required(),
        points: Joi.array()
          .items(Joi.number().min(-30).max(30))
          .length(taskDoughs.length)
          .required(),
      }),
    }),
  )
  .max(mostBakers)
  .unique('id')
  .custom((bakers: readonly Baker[], helpers) =>
    bakers.length === 0 || bakers[0]!.id === usualBaker ? bakers : helpers.error('bakers.usual'),
  )
  .messages({ 'bakers.usual': `must begin with the usual one, whose id is “${usualBaker}”` });
