/**
 * One value for the whole process, whichever copy of a module asks for it: the server and the
 * application that it serves are built apart, and development loads modules anew.
 */
export function once<T>(name: string, make: () => T): T {
  const all = globalThis as unknown as Record<symbol, T | undefined>;
  const key = Symbol.for(`tender-crumb:${name}`);
  return (all[key] ??= make());
}
