import { linkSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { root } from './root.mjs';

const alive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (fault) {
    return fault.code === 'EPERM';
  }
};

/** What a process left that died before it could give its turn back is no turn. */
function clear(file) {
  try {
    if (alive(Number(readFileSync(file, 'utf8')))) return;
  } catch {
    // Given back just now.
  }
  rmSync(file, { force: true });
}

/**
 * Waits until no other process does this in this folder; the turn ends with the process, or by calling
 * what is returned.
 *
 * @param what a name, as a part of a file's: `build`
 */
export function oneAtATime(what) {
  const file = join(root, 'node_modules/.cache', `${what}.turn`);
  mkdirSync(dirname(file), { recursive: true });
  const end = () => rmSync(file, { force: true });
  // Written first and named then: whoever reads the turn never finds it half written.
  const own = `${file}.${process.pid}`;
  writeFileSync(own, String(process.pid));
  for (let said = false; ;) {
    try {
      linkSync(own, file);
      rmSync(own);
      process.once('exit', end);
      return () => {
        process.off('exit', end);
        end();
      };
    } catch (fault) {
      if (fault.code !== 'EEXIST') throw fault;
    }
    if (!said) console.log(`Another process is at it in this folder (${what}): waiting for it …`);
    said = true;
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 500);
    clear(file);
  }
}
