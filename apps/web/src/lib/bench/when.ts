const moment = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});

/** Who saved something, and when: "Tablet on the counter, 24 Nov 2026, 10:12". */
export const whoAndWhen = (device: string | undefined, at: string): string =>
  `${device ?? 'this kitchen'}, ${moment.format(new Date(at))}`;
