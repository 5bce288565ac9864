import type { Role } from '@tender-crumb/core';

/**
 * How a role is painted: a colour and a grain-like texture together, so that neither carries the
 * meaning alone; its letter stands beside. Angles and steps differ from neighbour to neighbour.
 */
interface Paint {
  readonly base: string;
  readonly grain: string;
}

const hatch = (angle: number, colour: string, gap: number, line = 1.5): string =>
  `repeating-linear-gradient(${angle}deg, ${colour} 0 ${line}px, transparent ${line}px ${gap}px)`;
const dots = (colour: string, size: number): string =>
  `radial-gradient(${colour} 1.2px, transparent 1.4px) 0 0 / ${size}px ${size}px`;

const dark = 'color-mix(in oklab, var(--ink), transparent 62%)';
const paint = (base: string, grain = 'none'): Paint => ({ base, grain });

export const paints: Readonly<Record<Role, Paint>> = {
  flour: paint('var(--grain)'),
  gluten: paint('var(--grain)', hatch(45, dark, 5)),
  bran: paint('var(--grain)', dots(dark, 5)),
  meal: paint('var(--grain)', dots(dark, 8)),
  fibre: paint('var(--grain)', hatch(90, dark, 4, 1)),
  grain: paint('var(--grain)', hatch(135, dark, 7)),
  powder: paint('color-mix(in oklab, var(--grain), var(--enamel) 50%)', dots(dark, 4)),
  liquid: paint('var(--water)'),
  egg: paint('color-mix(in oklab, var(--water), var(--grain) 55%)', dots(dark, 7)),
  fat: paint('var(--soften)', hatch(0, dark, 5, 1)),
  sugar: paint('var(--soften)', hatch(45, dark, 7, 1)),
  sweetener: paint('var(--soften)', hatch(135, dark, 4, 1)),
  salt: paint('var(--soft)', dots('var(--enamel)', 5)),
  leaven: paint('var(--act)', hatch(90, 'var(--enamel)', 6, 1)),
  addIn: paint('color-mix(in oklab, var(--act), var(--grain) 60%)', hatch(135, dark, 6, 1)),
  improver: paint('var(--soft)', hatch(45, 'var(--enamel)', 5, 1)),
};

/** The `background` of a role. */
export const background = (role: Role): string =>
  paints[role].grain === 'none' ? paints[role].base : `${paints[role].grain}, ${paints[role].base}`;
