import type { PresenceRules } from '../../../presence'
import { instantOf } from '../../../zoned-time'
import { presenceShape, type PresenceSettings } from './settings'

export type { PresenceSettings } from './settings'

/** When and to whom something over the page appears. */
export const presenceGroup = {
  shape: presenceShape,
  /**
   * The settings as what decides in a browser: times of the site's clocks as moments.
   * @param timeZone IANA, of the site
   */
  rules: (s: PresenceSettings, timeZone: string): PresenceRules => ({
    triggers: s.triggers,
    combine: s.combine,
    limits: {
      daysAfterClosing: s.daysAfterClosing,
      onceAnswered: s.onceAnswered,
      perVisit: s.perVisit,
      inAll: s.inAll,
      afterDoing: s.afterDoing,
    },
    audience: {
      pages: s.pages,
      notPages: s.notPages,
      devices: s.devices,
      languages: s.languages,
      countries: s.countries,
      whereUnknown: s.whereUnknown,
      visits: s.visits,
      campaign: s.campaign,
      cameFrom: s.cameFrom,
      from: s.from ? instantOf(s.from, timeZone).toISOString() : null,
      until: s.until ? instantOf(s.until, timeZone).toISOString() : null,
      days: s.days.map(Number),
      hours: s.hoursFrom ? { from: s.hoursFrom, until: s.hoursUntil || '24:00' } : null,
    },
    priority: s.priority,
    beside: s.beside,
  }),
}
