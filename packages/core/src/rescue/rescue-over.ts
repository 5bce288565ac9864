/** What is known of a dough that has gone too far. */
export interface GoneOver {
  /** In its bowl, or shaped. */
  readonly where: 'bowl' | 'shaped';
  readonly leaven: 'yeast' | 'starter';
  /** How it looks. */
  readonly looks: 'puffy' | 'fallen' | 'liquid';
  readonly smells: 'mild' | 'of beer' | 'sharp';
}

/** What can still be saved of a dough that has gone too far. */
interface OverRescue {
  readonly id: string;
  readonly says: string;
  readonly why: string;
}

interface Way extends OverRescue {
  readonly when: (of: GoneOver) => boolean;
}

/** One row a way, the best first. Common practice, no source. */
const saves: readonly Way[] = [
  {
    id: 'bake-now',
    when: ({ where, looks }) => where === 'shaped' && looks === 'puffy',
    says: 'Bake it now, uncut, ten degrees hotter for the first ten minutes.',
    why: 'It still stands, but a cut or a bump makes it fall.',
  },
  {
    id: 'knock-back',
    when: ({ looks, leaven }) => looks !== 'liquid' && leaven === 'yeast',
    says: 'Press the gas out, shape it tight again, and proof for half the time, somewhere cooler.',
    why: 'One more rise is possible: quicker, and not as high.',
  },
  {
    id: 'fold-cold',
    when: ({ looks, leaven, where }) =>
      leaven === 'starter' && looks === 'puffy' && where === 'bowl',
    says: 'Fold it gently, shape it, and straight into the fridge; bake it from there within a few hours.',
    why: 'Cold stops it. In the warm it falls apart.',
  },
  {
    id: 'tin',
    when: ({ looks, leaven }) => leaven === 'starter' && looks === 'fallen',
    says: 'Put it in an oiled tin, rest it an hour, and bake.',
    why: 'It will not stand by itself any more; a tin holds it up.',
  },
  {
    id: 'flat',
    when: ({ looks }) => looks !== 'puffy',
    says: 'Pour it into an oiled tray, oil and salt on top, and bake a flat bread, hot.',
    why: 'A flat bread needs no height, and likes it sour.',
  },
  {
    id: 'old-dough',
    when: ({ smells }) => smells !== 'sharp',
    says: 'Keep a fifth in the fridge, and knead it into a dough within three days.',
    why: 'As old dough it gives flavour; more than a fifth slackens the new one.',
  },
  {
    id: 'crackers',
    when: ({ smells, looks }) => smells === 'sharp' || looks === 'liquid',
    says: 'Add its weight in flour and a spoon of oil. Roll thin, salt, bake crisp.',
    why: 'Too sour for bread makes good crackers.',
  },
];

/**
 * What can still be saved of a dough that has gone too far, the best first.
 *
 * @example rescueOver({where: 'shaped', leaven: 'yeast', looks: 'puffy', smells: 'mild'})[0].id // 'bake-now'
 */
export const rescueOver = (of: GoneOver): OverRescue[] =>
  saves.filter((way) => way.when(of)).map(({ id, says, why }) => ({ id, says, why }));
