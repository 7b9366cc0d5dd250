/** A moment in a site's own time: "Tue 1 Dec, 08:00". */
export const timeThere = (at: string, timeZone: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    timeZone,
  }).format(new Date(at))
