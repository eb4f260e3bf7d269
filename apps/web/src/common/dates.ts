import { TZDate, tz } from '@date-fns/tz';
import { format, formatDistanceStrict, isSameDay } from 'date-fns';

/** Instants are UTC on the wire and shown in the school's one time zone. */
export const showDay = (iso: string, zone: string): string => format(iso, 'EEE d MMM', { in: tz(zone) });
export const showTime = (iso: string, zone: string): string => format(iso, 'HH:mm', { in: tz(zone) });
export const showMoment = (iso: string, zone: string): string =>
  isSameDay(new Date(iso), new Date(), { in: tz(zone) })
    ? `today, ${showTime(iso, zone)}`
    : `${showDay(iso, zone)}, ${showTime(iso, zone)}`;
export const showFull = (iso: string, zone: string): string =>
  format(iso, 'EEEE d MMMM yyyy, HH:mm:ss', { in: tz(zone) });
export const showAge = (iso: string): string => formatDistanceStrict(iso, new Date(), { addSuffix: true });

/** A date and time typed in the school's zone ("2026-11-27", "18:00") as an instant, or null when they make none. */
export function instantOf(date: string, time: string, zone: string): string | null {
  const [, year, month, day] = /^(\d{4})-(\d\d)-(\d\d)$/.exec(date) ?? [];
  const [, hour, minute] = /^(\d\d):(\d\d)/.exec(time) ?? [];
  if (!year || !hour) return null;
  return new Date(
    new TZDate(Number(year), Number(month) - 1, Number(day), Number(hour), Number(minute), zone).getTime(),
  ).toISOString();
}

/** A day as a field of the browser holds it. */
export const dayOf = (iso: string | number, zone: string): string => format(iso, 'yyyy-MM-dd', { in: tz(zone) });
export const dateIn = (days: number, zone: string): string => dayOf(Date.now() + days * 86_400_000, zone);

/** A day as it is kept (2026-12-05), short; one that no calendar has, as it stands. */
export function shortDay(day: string, weekday?: 'short'): string {
  const at = new Date(`${day}T00:00:00Z`);
  if (Number.isNaN(at.getTime())) return day;
  return new Intl.DateTimeFormat('en-GB', { weekday, day: 'numeric', month: 'short', timeZone: 'UTC' }).format(at);
}
