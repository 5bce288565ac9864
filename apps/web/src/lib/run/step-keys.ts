/** What keys do on a bake's page, also those of a page-turner under a foot: each presses the button that bears the name. */
const taps: Readonly<Record<string, 'done' | 'later' | 'back'>> = {
  ' ': 'done',
  PageDown: 'done',
  ArrowRight: 'done',
  ArrowDown: 'later',
  PageUp: 'back',
  ArrowLeft: 'back',
};

/** Whoever types, or stands on something that keys move, means that. */
const ownKeys =
  'input, textarea, select, button, a, summary, label, dialog, [role], [contenteditable]';

/** Presses the step's button for a key; of several keys at once, and where something has keys of its own, none. */
export function pressByKey(event: KeyboardEvent): void {
  const tap = taps[event.key];
  if (!tap || event.repeat || event.ctrlKey || event.metaKey || event.altKey || event.shiftKey)
    return;
  if ((event.target as HTMLElement).closest(ownKeys)) return;
  const button = document.querySelector<HTMLButtonElement>(`[data-tap="${tap}"]`);
  if (!button) return;
  event.preventDefault();
  button.click();
}
