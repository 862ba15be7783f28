export { inputOf } from './hand.ts';
export { spansOf } from './spans.ts';
