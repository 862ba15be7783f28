const two = (number: number): string => String(number).padStart(2, '0');

/**
 * Reads a time of day as people type it: 9, 9:30, 930, 9 am, 2.15 pm, 14:00, 14h.
 * @returns HH:MM by the clock of 24 hours; null where it cannot be read
 */
export function typedTime(text: string): string | null {
  const match = /^(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(?:h|hrs?)?\s*([ap])?\.?\s*(?:m\.?)?$/i.exec(text.trim());
  if (!match) return null;
  const [, hourText, minuteText = '0', half] = match;
  let hour = Number(hourText);
  const minute = Number(minuteText);
  if (half && (hour < 1 || hour > 12)) return null;
  if (half) hour = (hour % 12) + (half.toLowerCase() === 'p' ? 12 : 0);
  return hour < 24 && minute < 60 ? `${two(hour)}:${two(minute)}` : null;
}

/** A time of day moved by minutes, within the day. */
export function movedTime(time: string, byMinutes: number): string {
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  const total = Math.min(24 * 60 - 1, Math.max(0, hour * 60 + minute + byMinutes));
  return `${two(Math.floor(total / 60))}:${two(total % 60)}`;
}
