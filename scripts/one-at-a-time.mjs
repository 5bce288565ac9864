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

/**
 * When a process began, and in which run of the machine: a number is given again after a power cut. Nothing where the
 * system does not tell.
 */
function beganOf(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    const began = stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
    return `${readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()} ${began}`;
  } catch {
    return '';
  }
}

/** Whose turn it is, as it stands in its file: who, since when, and in which folder. */
const turnOf = (pid) => JSON.stringify({ pid, began: beganOf(pid), root });

/** Whether a turn is held: by a process that lives, that is the one that took it, and in this very folder. */
function isHeld(text) {
  try {
    const { pid, began, root: where } = JSON.parse(text);
    return where === root && alive(pid) && began === beganOf(pid);
  } catch {
    return false;
  }
}

/** What a process left that died before it could give its turn back, or that came with a copied folder, is no turn. */
function clear(file) {
  try {
    if (isHeld(readFileSync(file, 'utf8'))) return;
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
  writeFileSync(own, turnOf(process.pid));
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
