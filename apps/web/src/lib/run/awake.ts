/**
 * Keeps the screen on while a bake is open, where the browser can: on plain http it cannot.
 *
 * @param told whether it does
 * @returns gives the screen free
 */
export function keepAwake(told: (can: boolean) => void = () => {}): () => void {
  let lock: WakeLockSentinel | undefined;
  let wanted = true;
  const ask = async () => {
    if (!('wakeLock' in navigator)) return told(false);
    if (!wanted || document.visibilityState !== 'visible') return;
    // Refused on a low battery, say: the bake goes on with a screen that sleeps.
    lock = await navigator.wakeLock.request('screen').catch(() => undefined);
    told(lock !== undefined);
  };
  void ask();
  document.addEventListener('visibilitychange', ask);
  return () => {
    wanted = false;
    document.removeEventListener('visibilitychange', ask);
    void lock?.release();
  };
}
