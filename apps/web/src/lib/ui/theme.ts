export const themes = ['system', 'light', 'dark'] as const;
export type Theme = (typeof themes)[number];

/** Shows a theme at once and remembers it for the next page, before its first paint. */
export function setTheme(theme: Theme): void {
  document.documentElement.dataset['theme'] = theme;
  document.cookie = `theme=${theme}; path=/; max-age=31536000; samesite=lax`;
}
