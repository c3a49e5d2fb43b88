/** An event of a calendar: on whole days, or from a time of the day on, in the time of whoever reads it. */
export interface CalendarEvent {
  readonly uid: string;
  readonly title: string;
  readonly description?: string;
  readonly location?: string;
  /** Year, month and day, each from 1; with hour and minute where it is no whole day. */
  readonly start: readonly [year: number, month: number, day: number, hour?: number, minute?: number];
  /** How long, minutes, where it begins at a time of the day. */
  readonly minutes?: number;
  /** "FREQ=MONTHLY;BYMONTHDAY=1" */
  readonly repeats?: string;
}

/** Longest line, bytes, without its end (RFC 5545, 3.1). */
const LINE_BYTES = 75;

/** Events as a calendar file (iCalendar, RFC 5545). `at`: when it is made. */
export function writeCalendar(name: string, events: readonly CalendarEvent[], at: Date): string {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:split-tap',
    'CALSCALE:GREGORIAN',
    'METHOD:PUBLISH',
    `X-WR-CALNAME:${escaped(name)}`,
    ...events.flatMap(({ uid, title, description, location, start, minutes, repeats }) => [
      'BEGIN:VEVENT',
      `UID:${escaped(uid)}`,
      `DTSTAMP:${at.toISOString().replace(/[-:]|\.\d+/g, '')}`,
      ...when(start, minutes),
      ...(repeats === undefined ? [] : [`RRULE:${repeats}`]),
      `SUMMARY:${escaped(title)}`,
      ...(description === undefined ? [] : [`DESCRIPTION:${escaped(description)}`]),
      ...(location === undefined || location === '' ? [] : [`LOCATION:${escaped(location)}`]),
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ];
  return lines.map((line) => `${folded(line)}\r\n`).join('');
}

const two = (part: number): string => String(part).padStart(2, '0');

function when([year, month, day, hour, minute]: CalendarEvent['start'], minutes = 0): string[] {
  const date = `${String(year).padStart(4, '0')}${two(month)}${two(day)}`;
  if (hour !== undefined)
    return [`DTSTART:${date}T${two(hour)}${two(minute ?? 0)}00`, `DURATION:PT${minutes}M`];
  // The end of a whole day is the day after it.
  const next = new Date(Date.UTC(year, month - 1, day + 1));
  const end = `${String(next.getUTCFullYear()).padStart(4, '0')}${two(next.getUTCMonth() + 1)}${two(next.getUTCDate())}`;
  return [`DTSTART;VALUE=DATE:${date}`, `DTEND;VALUE=DATE:${end}`];
}

/** A text as a value (RFC 5545, 3.3.11); control characters have no place in one. */
const escaped = (text: string): string =>
  text
    .replace(/\r\n?/g, '\n')
    // oxlint-disable-next-line no-control-regex -- they are what is taken out
    .replace(/[\u0000-\u0008\u000b-\u001f\u007f]/g, '')
    .replace(/[\\;,]/g, '\\$&')
    .replaceAll('\n', '\\n');

/** A long line goes on after a break and a blank; no letter is torn apart. */
function folded(line: string): string {
  const bytes = new TextEncoder();
  const parts: string[] = [];
  let [part, length] = ['', 0];
  for (const letter of line) {
    const own = bytes.encode(letter).length;
    // What goes on begins with a blank, which counts.
    if (length + own > LINE_BYTES - (parts.length > 0 ? 1 : 0)) {
      parts.push(part);
      [part, length] = ['', 0];
    }
    part += letter;
    length += own;
  }
  return [...parts, part].join('\r\n ');
}
