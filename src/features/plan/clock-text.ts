/** Minutes of the day as they are written and typed: "18:30". */
const two = (n: number): string => String(n).padStart(2, '0');
export const clockOf = (minutes: number): string =>
  `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
export const minutesOfClock = (text: string): number | null => {
  const match = /^(\d{1,2}):(\d{2})$/.exec(text.trim());
  if (!match) return null;
  const minutes = Number(match[1]) * 60 + Number(match[2]);
  return minutes >= 0 && minutes <= 24 * 60 && Number(match[2]) < 60 ? minutes : null;
};

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const;
