import { fromDate, parseDate, toCalendarDate } from '@internationalized/date';
import { now, yardZone } from './clock';
import { YARD_LOCALE } from './locale';

const hours = new Intl.NumberFormat(YARD_LOCALE, { minimumFractionDigits: 1, maximumFractionDigits: 2 });
const whole = new Intl.NumberFormat(YARD_LOCALE, { maximumFractionDigits: 2 });

/** A meter value as it reads on the meter, with its unit: `1,204.3 h`. */
export function metered(value: string | number, unit: 'h' | 'km' | 'mi' | 'day' | null): string {
  const number = (unit === 'h' ? hours : whole).format(Number(value));
  return unit && unit !== 'day' ? `${number} ${unit}` : number;
}

export const count = (value: number): string => whole.format(value);

const dayFormat = new Intl.DateTimeFormat(YARD_LOCALE, {
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
});
const shortDay = new Intl.DateTimeFormat(YARD_LOCALE, { day: 'numeric', month: 'short', timeZone: 'UTC' });
const weekday = new Intl.DateTimeFormat(YARD_LOCALE, { weekday: 'long', timeZone: 'UTC' });
const heading = new Intl.DateTimeFormat(YARD_LOCALE, {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
});
/** In the yard's zone, wherever the device is. */
function inYard(options: Intl.DateTimeFormatOptions): (at: Date) => string {
  let of = '';
  let format: Intl.DateTimeFormat;
  return (at) => {
    if (of !== yardZone()) {
      of = yardZone();
      format = new Intl.DateTimeFormat(YARD_LOCALE, { ...options, timeZone: of });
    }
    return format.format(at);
  };
}

const hourAndMinute = inYard({ hour: '2-digit', minute: '2-digit' });
const yardDay = inYard({ day: 'numeric', month: 'short', year: 'numeric' });
const moment = inYard({ day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' });

const utc = (day: string): Date => new Date(`${day}T00:00:00Z`);

export const longDay = (day: string): string => dayFormat.format(utc(day));
export const dayAndMonth = (day: string): string => shortDay.format(utc(day));
/** `21 Apr`, and `20 Nov 2027` where that is another year. */
export const dayThisYear = (day: string): string =>
  day.slice(0, 4) === today().slice(0, 4) ? dayAndMonth(day) : `${dayAndMonth(day)} ${day.slice(0, 4)}`;
export const headingDay = (day: string): string => heading.format(utc(day));
export const instant = (at: string, dayOnly: boolean): string => (dayOnly ? yardDay : moment)(new Date(at));

/** `09:41` */
export const clockTime = (at: string | number): string => hourAndMinute(new Date(at));

/** `5 to 16 Jun`, `28 Nov to 3 Dec`, or the one day. */
export function daySpan(from: string, to: string): string {
  if (from === to) return dayAndMonth(from);
  return from.slice(0, 7) === to.slice(0, 7)
    ? `${Number(from.slice(8))} to ${dayAndMonth(to)}`
    : `${dayAndMonth(from)} to ${dayAndMonth(to)}`;
}

const ago = new Intl.RelativeTimeFormat(YARD_LOCALE, { numeric: 'auto' });

/** `today`, `yesterday`, `Friday`, `23 days ago`, or the date. */
export function sinceDay(day: string, today: string): string {
  const days = Math.max(0, parseDate(today).compare(parseDate(day)));
  if (days > 1 && days < 7) return weekday.format(utc(day));
  return days < 60 ? ago.format(-days, 'day') : longDay(day);
}

/** The day of a moment in the yard. */
export const dayOf = (at: string | Date): string => toCalendarDate(fromDate(new Date(at), yardZone())).toString();

/** Today in the yard: what is kept here may be of yesterday. */
export const today = (): string => dayOf(now());

export const dayBefore = (day: string): string => parseDate(day).subtract({ days: 1 }).toString();

/** The first letter small, as within a sentence; `PTO` stays. */
export const within = (words: string): string =>
  /^\p{Lu}{2}/u.test(words) ? words : words.charAt(0).toLowerCase() + words.slice(1);

/** `1 day`, `3 days` */
export const manyOf = (number: number, one: string): string => `${number} ${one}${number === 1 ? '' : 's'}`;

const conjunction = new Intl.ListFormat(YARD_LOCALE);

/** `brakes, blades and 9 more` */
export const listed = (words: string[], most = words.length): string =>
  conjunction.format([...words.slice(0, most), ...(words.length > most ? [`${words.length - most} more`] : [])]);
