/** Spreadsheet keys: up, down and Enter go along a column, left and right at a text's ends along a row. */
const down: Readonly<Record<string, number>> = { ArrowDown: 1, Enter: 1, ArrowUp: -1 };
const across: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };

const cellsOf = (row: Element): HTMLInputElement[] => [
  ...row.querySelectorAll<HTMLInputElement>('input[data-column]'),
];

/** Moves the focus for a key pressed in a cell; true where it did. */
export function moveByKey(event: KeyboardEvent): boolean {
  const cell = event.target;
  if (!(cell instanceof HTMLInputElement) || !cell.dataset['column']) return false;
  if (event.ctrlKey || event.metaKey || event.altKey) return false;
  const row = cell.closest('tr');
  if (!row || (cell.dataset['column'] === 'ingredient' && event.key !== 'ArrowRight')) return false;

  const along = down[event.key];
  if (along !== undefined) {
    const rows = [...row.closest('table')!.querySelectorAll('tr')].filter((r) =>
      r.querySelector(`input[data-column="${cell.dataset['column']}"]`),
    );
    const next = rows[rows.indexOf(row) + (event.shiftKey ? -along : along)];
    next
      ?.querySelector<HTMLInputElement>(`input[data-column="${cell.dataset['column']}"]`)
      ?.focus();
    return next !== undefined;
  }
  const sideways = across[event.key];
  if (sideways === undefined) return false;
  const whole = cell.selectionStart === 0 && cell.selectionEnd === cell.value.length;
  const atEnd = sideways > 0 ? cell.selectionEnd === cell.value.length : cell.selectionStart === 0;
  if (!whole && !atEnd) return false;
  const cells = cellsOf(row);
  cells[cells.indexOf(cell) + sideways]?.focus();
  return true;
}
