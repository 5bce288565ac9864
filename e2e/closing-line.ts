import type { FullResult, Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** One plain closing line, "N passed, N failed". */
export default class ClosingLine implements Reporter {
  #passed = 0;
  #failed = new Set<string>();

  onTestEnd(test: TestCase, { status }: TestResult): void {
    if (status === 'passed') this.#passed += 1;
    else if (status !== 'skipped') this.#failed.add(test.id);
  }

  onEnd(result: FullResult): void {
    const failed = this.#failed.size || (result.status === 'passed' ? 0 : 1);
    console.log(`${this.#passed} passed, ${failed} failed`);
  }
}
