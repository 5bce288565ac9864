export * from './device-for.ts';
export * from './dough-ways.ts';
export * from './process-in.ts';
export * from './step-kind.ts';
export * from './unkneaded.ts';
export * from './written-steps.ts';
export * from './shaping.ts';
