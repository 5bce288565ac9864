export * from './evaluate.ts';
export * from './likely-style.ts';
