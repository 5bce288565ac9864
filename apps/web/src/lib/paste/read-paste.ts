export { pasteOf } from '@tender-crumb/core/view';
