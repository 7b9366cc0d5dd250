/** Minutes as "45 min", "6 h", "2 h 30 min"; from two days on as "7 days", "3 days 4 h". */
export function duration(minutes: number): string {
  const days = minutes >= 2 * 1440 ? Math.floor(minutes / 1440) : 0
  const [h, min] = [Math.floor((minutes - days * 1440) / 60), Math.round(minutes % 60)]
  return [days && `${days} days`, h && `${h} h`, (min && !days) || !(h || days) ? `${min} min` : '']
    .filter(Boolean)
    .join(' ')
}
