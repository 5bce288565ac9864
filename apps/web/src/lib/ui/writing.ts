import { page } from '$app/state';
import {
  massNumber,
  massText,
  percentText,
  plainWriting,
  pointsText,
  temperatureNumber,
  temperatureText,
  written,
  type Writing,
} from '@tender-crumb/core/quantity';
import { sync } from '../sync/sync.svelte.ts';

/** How the household in front of the screen writes numbers; what was settled here and is on its way counts already. */
export const writing = (): Writing =>
  sync.settled({ writing: (page.data['writing'] as Writing | undefined) ?? plainWriting }).writing;

/** A text of the core's, in the household's units. What a baker wrote does not go through here. */
export const say = (text: string): string => written(text, writing());
export const asMass = (grams: number): string => massText(grams, writing());
export const asMassNumber = (grams: number): string => massNumber(grams, writing());
export const asWarmth = (celsius: number): string => temperatureText(celsius, writing());
/** As it stands in a field. */
export const asWarmthTyped = (celsius: number): string => temperatureNumber(celsius, writing());
export const asPercent = (percent: number): string => say(percentText(percent));
export const asPoints = (of: number): string => say(pointsText(of));
