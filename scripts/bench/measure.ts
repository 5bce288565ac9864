/** A walk through the bench that only looks whether it still runs: `TENDER_CRUMB_SHORT=1`. Its figures say nothing. */
export const short = process.env['TENDER_CRUMB_SHORT'] === '1';

/** So many, or as few as show that it runs. */
export const many = (count: number, few: number): number => (short ? few : count);

/** One figure of the bench. */
export interface Figure {
  readonly measure: string;
  readonly median: number;
  readonly unit: string;
  readonly aim?: string;
  readonly [more: string]: unknown;
}

export const print = (figure: Figure): void => console.log(JSON.stringify(figure));

const round = (value: number): number => Number(value.toPrecision(3));

/** Median and spread of the milliseconds that something takes, warmed up first. */
export async function time(
  what: () => unknown,
  asked: { runs?: number; warm?: number; each?: number } = {},
): Promise<{ median: number; p10: number; p90: number }> {
  const { runs = 200, warm = 50, each = 1 } = short ? { runs: 1, warm: 0 } : asked;
  for (let i = 0; i < warm; i += 1) await what();
  const spent: number[] = [];
  for (let i = 0; i < runs; i += 1) {
    const start = performance.now();
    for (let n = 0; n < each; n += 1) await what();
    spent.push((performance.now() - start) / each);
  }
  spent.sort((a, b) => a - b);
  const at = (share: number) => round(spent[Math.floor(share * (spent.length - 1))]!);
  return { median: at(0.5), p10: at(0.1), p90: at(0.9) };
}
