/** What the application uses of the core, by name: what is not here is the core's own. */

export { isDay, isMoment } from './quantity/day.ts';
export { parseNumber } from './quantity/fraction.ts';
export { leastGrams, mostGrams } from './quantity/mass.ts';
export {
  defaultMeasures,
  cupMillilitres,
  eggGrams,
  fills,
  tablespoonMillilitres,
  type Measures,
} from './quantity/measures.ts';
export {
  gramsNumber,
  gramsText,
  oddsText,
  percentText,
  pointsText,
  thinSpace,
} from './quantity/number.ts';
export { isRefused, type Refusal } from './quantity/refusal.ts';
export { seededRandom } from './quantity/seeded-random.ts';
export type { Field, Shape } from './quantity/shape.ts';
export { sumGrams } from './quantity/sum-grams.ts';
export { ovenMinutes } from './style/baking.ts';
export {
  celsiusTyped,
  decimalMarks,
  gramsTyped,
  massNumber,
  massSchools,
  massText,
  numberTyped,
  plainWriting,
  temperatureSchools,
  temperatureText,
  written,
  type Writing,
} from './quantity/writing.ts';
export {
  bagProblems,
  bagShape,
  grindIds,
  kindOfBag,
  pricePerKilo,
  type Price,
  suitsBag,
  type Bag,
} from './ingredient/bag.ts';
export { catalogue, ingredient } from './ingredient/catalogue.ts';
export { grainFor, grinds } from './ingredient/grind.ts';
export { allergens, type Allergen, type Ingredient } from './ingredient/ingredient.ts';
export {
  ingredientFromLabel,
  labelProblems,
  ownIdOf,
  ownIdPattern,
  ownPrefix,
  type Label,
} from './ingredient/label.ts';
export { measureText } from './ingredient/measure-text.ts';
export { gramsByVolume } from './ingredient/measure-weight.ts';
export { ownCup, weighingProblem, weighingsWanted } from './ingredient/own-cup.ts';
export type { Pantry } from './ingredient/pantry.ts';
export { roles, type Role } from './ingredient/role.ts';
export { styleIn } from './style/style-figures.ts';
export { styleIds, styles, type StyleId, type Window } from './style/style.ts';
export { deviceIds, devices, kneadingOf, type DeviceId } from './machine/device.ts';
export { kneadingIds, kneadings, type KneadingId } from './machine/kneading.ts';
export { departure, nothingLearned, thirstKey, type Belief } from './household/belief.ts';
export { filledByHabit } from './dough/parameter.ts';
export { bakerName, mostBakers, usualBaker, withBaker, type Baker } from './household/baker.ts';
export { coefficients } from './household/coefficients.ts';
export {
  figureGroups,
  figureProblems,
  soundFigures,
  type FigureRow,
} from './household/figure-rows.ts';
export {
  defaultHousehold,
  defaultSettings,
  kitchenOf,
  pantryIn,
  settingsOf,
  type Household,
  type Settings,
} from './household/household.ts';
export {
  carbSchools,
  percentageSchools,
  waterSchools,
  type CarbSchool,
} from './household/schools.ts';
export { besidesOf } from './formula/besides.ts';
export { bagBindings, withoutStrangeBags } from './formula/bag-bindings.ts';
export { baseOf, isFlour } from './formula/base.ts';
export { compareFormulas } from './formula/compare.ts';
export {
  addIngredient,
  editLine,
  removeLine,
  setGrams,
  setPercent,
  swapIngredient,
} from './formula/edit.ts';
export {
  allLines,
  formulaFormat,
  mainStage,
  measuringMethods,
  stageKinds,
  stagesOf,
  type Formula,
  type Stage,
  type StageHead,
  type StageKind,
  type MeasuringMethod,
  type Taken,
} from './formula/formula.ts';
export { measuresFor, methods } from './formula/measuring-method.ts';
export { hundred, percentOf } from './formula/percentage.ts';
export { layLines, resolve, type ResolvedLine } from './formula/resolve.ts';
export { scaleTo, type ScaleTarget } from './formula/scale.ts';
export { whatChanged } from './formula/what-changed.ts';
export {
  addStage,
  editStage,
  moveStage,
  placeStage,
  removeStage,
  stageNames,
} from './formula/stages.ts';
export { hydration, inSchool, otherSchool, schoolNames } from './formula/schools.ts';
export { setMethod } from './formula/set-method.ts';
export { shares, type Share } from './formula/shares.ts';
export {
  giveBackCorrection,
  leaveCorrection,
  reconsiderCorrection,
  takeCorrection,
} from './formula/take-correction.ts';
export { totals, type Totals } from './formula/totals.ts';
export { frictionFrom, waterTemperature } from './ferment/water-temperature.ts';
export { frictionOf, frictionSpan, withFriction } from './household/friction.ts';
export { accountBars, type AccountSegment } from './dough/account-bars.ts';
export type { WaterAccount } from './dough/account.ts';
export { noFlour } from './dough/cannot-tell.ts';
export { level } from './dough/level.ts';
export { measuringSd } from './dough/measuring.ts';
export { ordinaryMoisture } from './dough/moisture.ts';
export { moistureShift } from './dough/weather.ts';
export type { Room } from './household/room.ts';
export { mixingAdvice } from './dough/mixing.ts';
export type { DoubtShare, Simulation } from './dough/simulation.ts';
export { unknownState, stateAt, states } from './dough/state.ts';
export { proteinAim } from './dough/strength.ts';
export type { Surer } from './dough/what-to-weigh.ts';
export { ownWindow, windowIn, type OwnWindow } from './dough/own-window.ts';
export { outside, windowFor } from './dough/window.ts';
export { blendTo, type Blend } from './correct/blend.ts';
export { certaintyWords } from './correct/certainty.ts';
export type { Correction } from './correct/correction.ts';
export { saltLadder } from './correct/salt-ladder.ts';
export { tellingDifference, verdict } from './correct/verdict.ts';
export { allergensOf } from './caution/allergens.ts';
export { evaluate, type Evaluation } from './evaluate/evaluate.ts';
export { asLikely, type LikelyStyle } from './evaluate/likely-style.ts';
export { costOf } from './nutrition/cost.ts';
export {
  inHundredGrams,
  nutrition,
  partOf,
  type Estimate,
  type Nutrition,
} from './nutrition/nutrition.ts';
export {
  portionsOf,
  slicesFor,
  thicknessOf,
  thinnestSlice,
  usualLength,
} from './nutrition/slices.ts';
export { usRounded } from './nutrition/us-rounding.ts';
export { readMeasure } from './reader/line.ts';
export { answerUnread } from './reader/answer.ts';
export { findIngredients } from './reader/match.ts';
export { rememberAnswer } from './reader/remember.ts';
export { readerOf } from './reader/reader-of.ts';
export type { Answer, ReadRecipe, ReadRow } from './reader/read.ts';
export { readRecipe } from './reader/recipe.ts';
export { choicesFor, substitute } from './substitute/substitute.ts';
export type { Found, Relaxed } from './goal/find-bread.ts';
export type { Goal, Relaxable } from './goal/goal.ts';
export { offeredFor } from './goal/offered.ts';
export type { CandidateStuff } from './goal/programme.ts';
export {
  asAlways,
  householdOn,
  kitchenNow,
  measuredAs,
  measuresAlike,
  type Circumstances,
  type KitchenThen,
} from './bake/circumstances.ts';
export { checkDough } from './bake/dough-check.ts';
export {
  answerLeaven,
  answerRise,
  type LeavenAnswer,
  type LeavenAsked,
  type RiseAnswer,
  type RiseAsked,
} from './ferment/rise-asked.ts';
export { isForecast, type Paces, type RiseDoubt, type RiseForecast } from './ferment/rise-doubt.ts';
export { drawnRise } from './ferment/rise-curve.ts';
export { feedingFor, starterParts, type Feeding } from './ferment/feeding.ts';
export { leavenChange, type LeavenChange } from './ferment/leaven-change.ts';
export { leavenForRise, risesOf, type Rise } from './ferment/rises.ts';
export type { RiseModel, RisePoint } from './ferment/rise.ts';
export { fridgeCelsius, vesselIds, vessels, type VesselId } from './ferment/vessel.ts';
export { yeastKinds } from './ingredient/yeast.ts';
export { usedFromBags } from './bake/used-from-bags.ts';
export { bagLeft, type TakenOut } from './ingredient/bag-left.ts';
export { makeUpFor, runningOut, type MakeUp, type RunningOut } from './substitute/running-out.ts';
export { kindOfEvent, onHouseClock, teaches, type BakeEvent } from './bake/event.ts';
export { mixedLines } from './bake/mixed.ts';
export { judgements, outcomeWords, type Outcome, type OutcomeWord } from './bake/outcome.ts';
export { restedFeel, stillToDrink } from './bake/rested-feel.ts';
export { pokeSays } from './bake/poke-says.ts';
export { hasDrunk, wetFor } from './bake/touch-moment.ts';
export { bakeState } from './bake/state.ts';
export { weighedGrams, weighingList, type WeighingItem } from './bake/weighing-list.ts';
export { riseClock, riseStanding, type RiseClock, type RiseStanding } from './bake/rise-clock.ts';
export { bakeRises } from './learn/rises.ts';
export { pacesFor } from './ferment/believed-paces.ts';
export { usualWarmth } from './ferment/usual-warmth.ts';
export { leavenKeys } from './ferment/leaven-key.ts';
export type { RiseNoted } from './bake/state.ts';
export { beliefBlocks, joinBlocks, type BreadBlock } from './learn/belief-blocks.ts';
export { amongBreads, forBread } from './learn/for-bread.ts';
export { modelVersion, type BookBake } from './learn/book.ts';
export { taughtFigures } from './learn/taught-figures.ts';
export { knownThirst, type KnownThirst } from './learn/known.ts';
export { lessonOf, type Lesson, type Taught } from './learn/lesson.ts';
export type { Measured } from './learn/measure.ts';
export {
  learnedFigures,
  learnedKinds,
  type LearnedKindId,
  learnedName,
  learnedWindows,
  type LearnedFigure,
} from './learn/learned-figures.ts';
export {
  bakeCsvRow,
  bakeMarkdown,
  bakesCsvHead,
  linesCsvHead,
  linesCsvRows,
} from './exchange/book-tables.ts';
export {
  oldBakes,
  oldColumnIds,
  oldColumns,
  oldTable,
  type DateOrder,
  type OldBake,
  type OldColumn,
} from './exchange/old-bakes.ts';
export { csvCell, csvRow } from './exchange/csv.ts';
export { bakeRecord, type BakeRecord, type BookEntry } from './book/record.ts';
export { measureIds, measureOf, measures, valueText, type MeasureId } from './book/measures.ts';
export { traitIds, traitOf, type TraitId } from './book/traits.ts';
export { differences, type Difference } from './book/differences.ts';
export { compareBakes, type ComparedRow } from './book/compare.ts';
export {
  helped,
  judgedBy,
  outcomeIds,
  outcomes,
  type Effect,
  type Helped,
  type OutcomeId,
  type Trial,
} from './book/helped.ts';
export {
  faultIds,
  faults,
  wentWrong,
  type FaultId,
  type Fix,
  type FoundCause,
} from './book/wrong.ts';
export { questionOf, questions, type Along, type Question } from './book/question.ts';
export { firstRiseOf, type FirstRise } from './book/first-rise.ts';
export { yearOfBakes, type BakedDay } from './book/year.ts';
export { expectedOf, type Expected } from './book/expected.ts';
export { drawnPoint, type DrawnPoint } from './book/drawn.ts';
export { timesOf, type TimeRow } from './book/times.ts';
export { breadCost, type BreadCost } from './book/bread-cost.ts';
export {
  calls,
  judgeCall,
  leaningOf,
  lessons,
  practiceDoughs,
  practiceRound,
  type Call,
  type LessonId,
  type Round,
} from './practice/round.ts';
export { watchedCourse, type Watched } from './practice/course.ts';
export type { Sign } from './practice/signs.ts';
export { isCurrency, type Money } from './household/money.ts';
export { beginningOf, type Beginning } from './learn/beginning.ts';
export { feltBand, forecastOf, type LevelMark } from './learn/level-mark.ts';
export { nextTime, type NextTime } from './learn/next-time.ts';
export { completeFormula, formulaProblems } from './exchange/formula-json.ts';
export { formulaSchemas } from './exchange/formula-schema.ts';
export {
  formatLimits,
  formulaShape,
  formulaShape1,
  type FormulaJson,
  type FormulaJson1,
} from './exchange/formula-shape.ts';
export { formulaText } from './exchange/formula-text.ts';
export { upgrade, upgrade1 } from './exchange/upgrade.ts';
export { firstLoaves } from './exchange/first-loaves.ts';
export { formatIds, formats, type Format } from './exchange/formats.ts';
export { moveLine, placeLine } from './formula/move.ts';
export { perKilo } from './formula/per-kilo.ts';
export { mostPieces, pieceGrams, scaleToPiece, setPieces } from './formula/pieces.ts';
export { formulaWords } from './formula/words.ts';
export { hoursText, minutesIn } from './quantity/duration.ts';
export {
  isClock,
  clockMinutes,
  everyDay,
  usualWeek,
  type Hours,
  type Week,
} from './household/week.ts';
export {
  applianceKindIds,
  applianceKinds,
  type Appliance,
  type ApplianceKindId,
} from './machine/appliance.ts';
export { deviceFor, type MadeBefore } from './process/device-for.ts';
export { isUnkneaded } from './process/unkneaded.ts';
export { stepKinds, type StepKindId } from './process/step-kind.ts';
export { amountsFor, keptBack, type BreadAmounts } from './schedule/amounts.ts';
export { breadOf, type Bread } from './schedule/bread.ts';
export {
  isMissed,
  isPlan,
  longestPlan,
  mostBreads,
  plan,
  type BreadWished,
  type Dropped,
  type NoPlan,
  type Plan,
  type PlanAsked,
  type PlannedBread,
  type PlannedStep,
} from './schedule/plan.ts';
export { resourcesOf } from './schedule/resources.ts';
export {
  oneKitchen,
  type Closed,
  type Fact,
  type Locks,
  type Resources,
  type Wish,
} from './schedule/task.ts';
export { wayIds, ways, type WayId } from './schedule/ways.ts';
export { planFacts, type FactsNoted } from './bake/plan-facts.ts';
export { stepCurve } from './schedule/step-curve.ts';
export { aheadKindIds, aheadKinds, aheadOf, foldIn, type AheadKind } from './ferment/ahead.ts';
export { dopingFor, type Doping } from './ferment/doping.ts';
export { starterHydration } from './ferment/starter-hydration.ts';
export { yeastFromFreezer, yeastUses } from './ingredient/yeast-use.ts';
export { tangIds, tangs, type TangId } from './ferment/souring.ts';
export {
  forTang,
  starterLadder,
  starterStep,
  withinShare,
  type StarterStep,
} from './ferment/starter-ladder.ts';
export { starterShare } from './ferment/starter-share.ts';
export { warmAndCold, type SchoolPlan } from './ferment/warm-and-cold.ts';
export { buildsFor, mostBuilds, type Build } from './ferment/builds.ts';
export { spoiledStarter, starterStanding, starterStandings } from './ferment/starter-standing.ts';
export { riseModelIn } from './ferment/rise-model.ts';
export type { RiseDraws } from './ferment/rise-draws.ts';
export { warmthFor, type WarmthFor } from './ferment/warmth-for.ts';
export { doughWayIds, doughWays, type DoughWayId } from './process/dough-ways.ts';
export { starterGrams, starterIn } from './ferment/starter-in.ts';
export {
  bakeShift,
  crustIds,
  crusts,
  machineSizeIds,
  machineSizes,
  type CrustId,
  type Machine,
  type MachineSizeId,
} from './machine/machine.ts';
export { machineRowIds, machines, type MachineRowId } from './machine/machines.ts';
export {
  bakes,
  kneadMinutes,
  machineStageKindIds,
  machineStageKinds,
  programmeMinutes,
  programmeUseIds,
  programmeUses,
  spansOf,
  type Programme,
  type ProgrammeUse,
} from './machine/programme.ts';
export {
  panDough,
  panFit,
  panGrams,
  panKindIds,
  panKinds,
  panMillilitres,
  type Pan,
  type PanKindId,
} from './machine/pan.ts';
export { isReading, readingSpans } from './machine/stand-in/reading.ts';
export type {
  MachineReading,
  ProbeReading,
  RoomReading,
  ScaleReading,
} from './machine/stand-in/reading.ts';
export {
  lift,
  pour,
  putOn,
  scaleLater,
  scaleReading,
  scaleStandIn,
  tare,
  type ScaleStandIn,
} from './machine/stand-in/scale.ts';
export {
  airIs,
  probeLater,
  probeReading,
  probeStandIn,
  putInto,
  roomLater,
  roomReading,
  roomStandIn,
} from './machine/stand-in/probe.ts';
export {
  machineLater,
  machineReading,
  machineStandIn,
  power,
  remembersFor,
} from './machine/stand-in/bread-machine.ts';
export { steamIds, steams, type SteamId } from './machine/appliance.ts';
export { courseFor, courseTimes, sizeFor, warmsFirst, type Course } from './course/course.ts';
export {
  fillingGrams,
  machineFit,
  type MachineFinding,
  type MachineFix,
} from './course/machine-fit.ts';
export { courseIds, courses, doughWants, type CourseId } from './course/wants.ts';
export { usualCourse } from './schedule/usual-course.ts';
export { breadTasks } from './schedule/bread-tasks.ts';
export type { Task } from './schedule/task.ts';
export type { Custom } from './household/household.ts';
export { asBaked } from './bake/as-baked.ts';
export { asMade } from './bake/as-made.ts';
export { boilsAt, coreAt } from './style/baking.ts';
export { runOf, type RunGiven, type RunView } from './bake/run-of.ts';
export { checkKindOf, checkKinds, type CheckKindId } from './bake/check-kind.ts';
export { coolingOf } from './bake/cooling.ts';
export { divide, dividing, formRows, pieceSlack, setAside } from './bake/divide.ts';
export { coreReadings, doneBy, fiveMore, ovenTroubles } from './bake/done.ts';
export { courseReady, lookInto, machineClock, type MachineClock } from './bake/machine-clock.ts';
export {
  bakeEventKinds,
  batchSpan,
  coreSpan,
  eventKinds,
  forms,
  mostOfPieces,
  pokes,
  type Form,
  type Poke,
  type WarmthPlace,
} from './bake/event-kinds.ts';
export { leadOf, signOf, type Sentence } from './bake/lead.ts';
export {
  bakeLoss,
  outcomeShape,
  crumbs,
  crustWords,
  tastes,
  type Crumb,
  type Crust,
  type Taste,
} from './bake/outcome.ts';
export { ovenPlace, ovenSetting, warmPlaces } from './bake/oven-plan.ts';
export { overPour, type OverPour } from './bake/over-pour.ts';
export { putOff } from './bake/plan-facts.ts';
export {
  plaitAfter,
  plaits,
  plaitStrands,
  strandCm,
  type Plait,
  type PlaitStrands,
} from './bake/plait.ts';
export { runStepKinds, type RunStepKindId } from './bake/run-step-kind.ts';
export { isRise, riseOf, runSteps, stepNow, type RunStep } from './bake/run-steps.ts';
export { cautionsAt } from './bake/step-cautions.ts';
export { eventsThatCount, type BakeState, type CourseNoted } from './bake/state.ts';
export { rescueDough, type DoughRescue } from './rescue/rescue-dough.ts';
export { rescueOver, type GoneOver } from './rescue/rescue-over.ts';
export { rescueRise, type NoRise, type RiseRescue } from './rescue/rescue-rise.ts';
export { likelihood, type Cause } from './rescue/cause.ts';
export {
  nearEnough,
  notWeighed,
  tooLittleFor,
  weighInNext,
  type WeighIn,
} from './bake/weigh-in.ts';
export { aheadSteps } from './bake/ahead-steps.ts';
export { dayOf, toBuy, toHave, type DayOf, type ToBuy } from './bake/first-loaf.ts';
export { loavesOf, usualShaping } from './bake/usual-form.ts';
export {
  parcelFormat,
  renamed,
  toSend,
  type HouseKnows,
  type Labelled,
  type Parcel,
} from './exchange/parcel.ts';
export { plainName, unseen } from './quantity/plain-name.ts';
