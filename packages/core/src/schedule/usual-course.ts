import type { Formula } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Household } from '../household/household.ts';
import { devices, type DeviceId } from '../machine/device.ts';
import { loadingOrders } from '../machine/loading-order.ts';
import { writtenSteps } from '../process/written-steps.ts';
import { courseFor, type Course } from '../course/course.ts';
import { fillingGrams } from '../course/machine-fit.ts';
import { doughWants } from '../course/wants.ts';

/**
 * How a bread goes through the household's machine until somebody says otherwise.
 *
 * @returns undefined where it is not made in a machine, or no machine was described
 * @example usualCourse(formula, lines, 'hand', household) // undefined
 */
export function usualCourse(
  formula: Formula,
  lines: readonly ResolvedLine[],
  device: DeviceId,
  { appliances }: Pick<Household, 'appliances'>,
): Course | undefined {
  const { loading } = devices[device];
  if (loading === loadingOrders.bowl) return undefined;
  const own = appliances.flatMap((a) => a.machine ?? []);
  const machine = own.find((m) => loadingOrders[m.loading] === loading) ?? own[0];
  if (!machine) return undefined;
  const wants = doughWants(formula, lines);
  const says = writtenSteps(formula);
  const hasOven = says.bake?.process.place === 'oven' || says.heat !== undefined;
  const course = wants.course === 'whole' && hasOven ? 'dough' : wants.course;
  return courseFor(machine, { ...wants, course }, fillingGrams(lines));
}
