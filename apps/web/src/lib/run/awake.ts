/** Keeps the screen on while a bake is open, where the browser can; gives a release. */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | undefined;
  let wanted = true;
  const ask = async () => {
    if (!wanted || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
    // Refused on a low battery, say: the bake goes on with a screen that sleeps.
    lock = await navigator.wakeLock.request('screen').catch(() => undefined);
  };
  void ask();
  document.addEventListener('visibilitychange', ask);
  return () => {
    wanted = false;
    document.removeEventListener('visibilitychange', ask);
    void lock?.release();
  };
}
