import { methodIn, type Phase } from '@tender-crumb/core/process';

const time = ({ minutes, mostMinutes }: Phase): string =>
  minutes === undefined
    ? ''
    : mostMinutes === undefined
      ? `${minutes}`
      : `${minutes}-${mostMinutes}`;
const part = (p: Phase): string =>
  [
    time(p),
    p.celsius === undefined ? '' : `@${Math.round(p.celsius)}`,
    p.lid === undefined ? '' : p.lid ? '+lid' : '-lid',
    p.place ? `${p.minutes === undefined ? '' : '/'}${p.place}` : '',
  ].join('');

/** A method's facts as they are written down beside it. */
export function factsOf(text: string): string[] {
  const { steps, folds, pieces, form, rack, matters, unkneaded } = methodIn([{ says: text }]);
  const found = Object.entries(steps).flatMap(([kind, { phases, process, core, overnight }]) => {
    const until = process.end && process.end !== 'core' ? [`${kind} until ${process.end}`] : [];
    const middle = core === undefined ? [] : [`${kind} core ${core}`];
    if (phases.length > 1)
      return [`${kind} phases ${phases.map(part).join(' ')}`, ...until, ...middle];
    const [only] = phases;
    const facts = [
      ...(only?.minutes === undefined ? [] : [`${kind} ${time(only)}`]),
      ...(only?.celsius === undefined ? [] : [`${kind} @${Math.round(only.celsius)}`]),
      ...(only?.place ? [`${kind} ${only.place}`] : []),
      ...until,
      ...middle,
      ...(overnight && !only?.place ? [`${kind} overnight`] : []),
    ];
    return facts.length === 0 && ['cool', 'feed'].includes(kind) ? [kind] : facts;
  });
  return [
    ...found,
    ...(folds ? [`folds ${folds.times}/${folds.every}`] : []),
    ...(pieces === undefined ? [] : [`pieces ${pieces}`]),
    ...(form ? [`form ${form}`] : []),
    ...(rack ? [`rack ${rack}`] : []),
    ...(['brush', 'score', 'steam'] as const).filter((m) => matters.has(m)),
    ...(unkneaded ? ['mix none'] : []),
  ];
}
