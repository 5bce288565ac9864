/** How a bell sounds: two soft strokes. Hertz, seconds, loudness of 1. */
const strokes = [
  { pitch: 660, at: 0 },
  { pitch: 880, at: 0.35 },
] as const;
const loudness = 0.25;
const fades = 0.9;

/** The sound of this page, which a browser allows once somebody has tapped for it. */
class Bell {
  on = $state(false);
  #sound: AudioContext | undefined;

  /** Rings from now on; asks for notifications where the browser has them. */
  async start(): Promise<void> {
    this.#sound ??= new AudioContext();
    await this.#sound.resume().catch(() => undefined);
    this.on = true;
    this.strike();
    if ('Notification' in window && Notification.permission === 'default') {
      await Notification.requestPermission().catch(() => undefined);
    }
  }

  silence(): void {
    this.on = false;
  }

  /** Rings once, where it may; and says what for, where notifications are allowed. */
  ring(what: string): void {
    if (this.on) this.strike();
    if ('Notification' in window && Notification.permission === 'granted') {
      try {
        new Notification(what, { tag: what });
      } catch {
        // Some browsers have them for pages on the home screen alone.
      }
    }
  }

  strike(): void {
    const sound = this.#sound;
    if (!sound) return;
    for (const { pitch, at } of strokes) {
      const tone = sound.createOscillator();
      const volume = sound.createGain();
      const from = sound.currentTime + at;
      tone.frequency.value = pitch;
      volume.gain.setValueAtTime(loudness, from);
      volume.gain.exponentialRampToValueAtTime(0.001, from + fades);
      tone.connect(volume).connect(sound.destination);
      tone.start(from);
      tone.stop(from + fades);
    }
  }
}

export const bell = new Bell();
