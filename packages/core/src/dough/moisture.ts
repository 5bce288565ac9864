/**
 * Flour moisture. Absorption and protein are quoted at 14 % moisture, whatever the bag holds.
 * Source: the 14 % basis of ICC 115/1 and ISO 5530-1.
 */
const standardMoisture = 14;

/**
 * Moisture at which the tables' absorptions hold, per cent: that of a bag in ordinary air, 21 °C and 60 %
 * (handbook, from the equilibrium in weather.ts). So a bag of which nothing is known and one that was
 * measured at what is ordinary stand at the same level.
 */
export const ordinaryMoisture = 13.2;

/**
 * What flour drinks at a moisture, from what it drinks at the ordinary one.
 *
 * @param absorption grams of water per gram at 13.2 %
 * @example absorptionAt(0.62, 13.2) // .62
 * @example absorptionAt(0.62, 14.2) // .6013
 */
export const absorptionAt = (absorption: number, moisture: number): number =>
  ((1 + absorption) * (100 - moisture)) / (100 - ordinaryMoisture) - 1;

/** Change of {@link absorptionAt} for one point more of moisture, points of water per gram. */
export const absorptionSlope = (absorption: number): number =>
  (-100 * (1 + absorption)) / (100 - ordinaryMoisture);

/**
 * Water absorption at a moisture, from absorption on the 14 % basis.
 *
 * @param absorption14 grams of water per 100 g of flour at 14 % moisture
 * @param moisture per cent, wet basis, 0 to below 100
 * @example absorption14At(60, 10) // 67.44
 */
export const absorption14At = (absorption14: number, moisture: number): number =>
  ((100 + absorption14) * (100 - moisture)) / (100 - standardMoisture) - 100;

/**
 * Change of absorption for one point more of moisture: the slope of {@link absorption14At}.
 *
 * @example absorption14Slope(60) // −1.86
 */
export const absorption14Slope = (absorption14: number): number =>
  -(100 + absorption14) / (100 - standardMoisture);

/**
 * Protein on the 14 % basis of a protein measured at another moisture.
 *
 * @example proteinOn14(12, 12.5) // 11.794
 */
export const proteinOn14 = (protein: number, moisture: number): number =>
  (protein * (100 - standardMoisture)) / (100 - moisture);

/**
 * Flour to weigh for a mixing bowl so that it holds as much dry matter as at 14 %.
 *
 * @example bowlFlour(12) // 293.18, for the 300 g bowl
 */
export const bowlFlour = (moisture: number, bowl = 300): number =>
  (bowl * (100 - standardMoisture)) / (100 - moisture);

/** Millilitres of water per Brabender-unit of missed consistency in the 300 g bowl. From memory. */
const millilitresPerUnit = 0.096;

/**
 * Water absorption from a 300 g mixing test, corrected to a consistency of 500.
 *
 * @param water millilitres run in
 * @param consistency reached, in the instrument's units
 * @example absorptionFromBowl(186.8, 520, 12) // 60.63
 */
export const absorptionFromBowl = (water: number, consistency: number, moisture: number): number =>
  (water + millilitresPerUnit * (consistency - 500) + bowlFlour(moisture) - 300) / 3;
