import type { H3Event } from 'h3'

/** An iCalendar file as the answer; calendar programs ask for it again and again. */
export function sendCalendar(event: H3Event, text: string): string {
  setResponseHeaders(event, {
    'content-type': 'text/calendar; charset=utf-8',
    'content-disposition': 'attachment; filename="hectarum.ics"',
    'cache-control': 'private, no-store',
  })
  return text
}
