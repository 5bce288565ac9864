/** 100,000 inputs of any shape through the core. Not part of the benchmark: it takes minutes. */
import { tryAnyInput } from '../../packages/core/test/any-input.ts';

const { exceptions, notFinite, ...counts } = tryAnyInput(Number(process.argv[2] ?? 100_000), 31415);
console.log(
  JSON.stringify({ ...counts, exceptions: exceptions.length, notFinite: notFinite.length }),
);
for (const fault of [...exceptions, ...notFinite].slice(0, 5)) console.log(fault.slice(0, 600));
