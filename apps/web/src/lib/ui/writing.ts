import { page } from '$app/state';
import {
  massNumber,
  massText,
  percentText,
  plainWriting,
  pointsText,
  temperatureText,
  written,
  type Writing,
} from '@tender-crumb/core';

/** How the household in front of the screen writes numbers. */
export const writing = (): Writing => (page.data['writing'] as Writing | undefined) ?? plainWriting;

/** A text of the core's, in the household's units. What a baker wrote does not go through here. */
export const say = (text: string): string => written(text, writing());
export const asMass = (grams: number): string => massText(grams, writing());
export const asMassNumber = (grams: number): string => massNumber(grams, writing());
export const asWarmth = (celsius: number): string => temperatureText(celsius, writing());
export const asPercent = (percent: number): string => say(percentText(percent));
export const asPoints = (of: number): string => say(pointsText(of));
