import type { Keep } from './keep.ts';
import { Outbox } from './outbox.ts';
import { oldKept } from './old-kept.ts';

let it: Outbox | undefined;

/** The outbox of this page; the first call starts it. For code that runs in the browser alone. */
export function outbox(): Outbox {
  if (it) return it;
  const made = new Outbox({
    channel: new BroadcastChannel('tender-crumb'),
    first: takeOver,
    leaving: () => document.visibilityState === 'hidden',
  });
  it = made;
  void made.start();
  addEventListener('online', () => void made.flush());
  addEventListener('visibilitychange', () => void made.flush());
  addEventListener('pagehide', () => made.leave());
  return made;
}

/** Takes in what the first version of the program left in this browser. */
async function takeOver(keep: Keep): Promise<void> {
  try {
    for (const { name, entries } of oldKept(localStorage)) {
      for (const entry of entries) await keep.put(entry);
      localStorage.removeItem(name);
    }
  } catch {
    // Storage is forbidden: then nothing can have been left there.
  }
}
