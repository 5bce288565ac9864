export { pasteOf, withPages } from '@tender-crumb/core/view';
