import type { Formula } from '@tender-crumb/core';

/** What was typed and is not acknowledged yet, kept where closing the page does not lose it. */
export interface Draft {
  readonly version: number;
  readonly formula: Formula;
}

const key = (id: string): string => `tender-crumb:draft:${id}`;

export function readDraft(id: string): Draft | undefined {
  try {
    const text = localStorage.getItem(key(id));
    return text ? (JSON.parse(text) as Draft) : undefined;
  } catch {
    return undefined;
  }
}

export function keepDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft));
  } catch {
    // Storage is full or forbidden: the save to the server is then the only keeper.
  }
}

export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(key(id));
  } catch {
    // As above.
  }
}
