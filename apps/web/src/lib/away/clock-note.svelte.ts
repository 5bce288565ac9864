import { clockBehind, clockHeard } from '../clock.ts';
import { tellingMs } from '../house-clock.ts';
import { question } from '../question.ts';
import { refresh } from '../ui/refresh.ts';

/** Whether this device's clock is so far from the house's that it is told; told once, until it is another again. */
class ClockNote {
  behind = $state(0);
  #told = $state(0);
  readonly shown = $derived(
    Math.abs(this.behind) >= tellingMs && Math.abs(this.behind - this.#told) >= tellingMs,
  );

  /** Follows what is heard from the house; gives an end to it. */
  follow(): () => void {
    this.behind = clockBehind();
    try {
      this.#told = Number(localStorage.getItem('clock-told')) || 0;
    } catch {
      // Then it is told once a page.
    }
    const hear = (behindMs: number) => {
      this.behind = behindMs;
      // What was shown until now went by this device’s clock.
      void refresh();
    };
    clockHeard.add(hear);
    // Any answer of the house carries its time; a tablet that slept hears it anew.
    const ask = () => {
      if (document.visibilityState === 'visible' && location.pathname !== '/pair')
        void question('/api/v1/learning').catch(() => undefined);
    };
    ask();
    addEventListener('visibilitychange', ask);
    return () => {
      clockHeard.delete(hear);
      removeEventListener('visibilitychange', ask);
    };
  }

  /** It was read. */
  done(): void {
    this.#told = this.behind;
    try {
      localStorage.setItem('clock-told', String(this.behind));
    } catch {
      // Nothing to be done about it.
    }
  }
}

export const clockNote = new ClockNote();
