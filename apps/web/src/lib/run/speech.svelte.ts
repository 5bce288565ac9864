/** Whether this device reads aloud is its own affair: kept under this name. */
const kept = 'reads-aloud';

/** What is said aloud, where the browser can: a step when it is come to, the next thing when it calls. Off by itself. */
class Speech {
  readonly can = typeof speechSynthesis !== 'undefined';
  /** Each step is read without being asked. */
  on = $state(false);

  constructor() {
    try {
      this.on = this.can && localStorage.getItem(kept) === 'yes';
    } catch {
      // A browser that keeps nothing reads when it is asked.
    }
  }

  turn(): void {
    this.on = !this.on;
    if (!this.on) speechSynthesis.cancel();
    try {
      if (this.on) localStorage.setItem(kept, 'yes');
      else localStorage.removeItem(kept);
    } catch {
      // It holds for this page then.
    }
  }

  /** Says it now, in place of what is still being said. */
  say(text: string): void {
    if (!this.can) return;
    speechSynthesis.cancel();
    speechSynthesis.speak(Object.assign(new SpeechSynthesisUtterance(text), { lang: 'en-GB' }));
  }

  /** Says it where everything is said. */
  tell(text: string): void {
    if (this.on) this.say(text);
  }
}

export const speech = new Speech();
