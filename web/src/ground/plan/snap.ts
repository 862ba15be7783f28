/** What a length drawn snaps to, and an arrow key moves by, metres: a quarter of a foot, or five centimetres. */
export const stepIn = (system: 'imperial' | 'metric'): number => (system === 'imperial' ? 0.0762 : 0.05);
