import { slowestOf } from '../scripts/slowest.cjs';
import type { FullResult, Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** The slowest tests, and one plain closing line, "N passed, N failed". */
export default class ClosingLine implements Reporter {
  #passed = 0;
  #failed = new Set<string>();
  readonly #took: Array<{ name: string; ms: number }> = [];

  onTestEnd(test: TestCase, { status, duration }: TestResult): void {
    this.#took.push({ name: test.titlePath().slice(2).join(' › '), ms: duration });
    if (status === 'passed') this.#passed += 1;
    else if (status !== 'skipped') this.#failed.add(test.id);
  }

  onEnd(result: FullResult): void {
    const failed = this.#failed.size || (result.status === 'passed' ? 0 : 1);
    console.log(slowestOf(this.#took));
    console.log(`${this.#passed} passed, ${failed} failed`);
  }
}
