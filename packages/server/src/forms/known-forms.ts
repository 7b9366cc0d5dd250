import { usualDelivery, type DeliverySettings, type FormDefinition } from '@pebblestrand/core/forms'
import { kindOf, readSettings, type Settings } from '@pebblestrand/core/kinds'
import { LRUCache } from 'lru-cache'
import { QueryTypes, type Sequelize } from 'sequelize'

/** A form as one release of its widget asks it, where it stands. */
export interface KnownForm {
  publicId: string
  installId: string
  widgetId: string
  widget: string
  kind: string
  settings: Settings
  form: FormDefinition
  release: number
  siteId: string
  site: string
  origin: string
  timeZone: string
  /** Of the page it stands on; a pattern where that is one. */
  path: string
  delivery: DeliverySettings
}

interface Row {
  installId: string
  widgetId: string
  kind: string
  widget: string
  starter: string | null
  settings: Settings
  kindVersion: number
  release: number
  siteId: string
  site: string
  origin: string
  timeZone: string
  path: string
  delivery: Partial<DeliverySettings> | null
}

/** The release that was filled in, where there is one of that number; else the one that is shown. */
const BY_PUBLIC_ID = `
SELECT i.id AS "installId", w.id AS "widgetId", w.kind, w.starter, coalesce(r.name, w.name) AS widget, r.settings, r.kind_version AS "kindVersion", r.number AS release,
  s.id AS "siteId", s.name AS site, s.origin, s.time_zone AS "timeZone", p.path, f.delivery
FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
JOIN LATERAL (
  SELECT * FROM releases WHERE widget_id = w.id ORDER BY (number = $release) DESC, (number = i.held_release) DESC, number DESC LIMIT 1
) r ON true
LEFT JOIN forms f ON f.widget_id = w.id
WHERE i.public_id = $publicId AND i.status <> 'retired'`

/** What is decided about a form, over what its starter brings and what is usual. */
export const deliveryOf = (
  { kind, starter }: { kind: string; starter: string | null },
  stored: Partial<DeliverySettings> | null | undefined,
): DeliverySettings => ({
  ...usualDelivery,
  ...(stored ?? kindOf(kind)?.starters.find(({ id }) => id === starter)?.delivery ?? {}),
})

/** Ms that a form is remembered: what the agency decides about it is followed after so long at the latest. */
const REMEMBERED_MS = 3000

let decisions = 0

/** Something was decided about a form: this process follows it at once, others once they have forgotten it. */
export const decidedAnew = (): void => void decisions++

/** Forms by where they stand and the release that was filled in. */
export class KnownForms {
  private readonly known = new LRUCache<string, { form: KnownForm | null }>({ max: 2000, ttl: REMEMBERED_MS })

  constructor(private readonly db: Sequelize) {}

  /** @param release as the page said it; 0 where it did not. Null where nothing stands there that asks. */
  async get(publicId: string, release: number): Promise<KnownForm | null> {
    const by = `${publicId} ${release} ${decisions}`
    const there = this.known.get(by)
    if (there) return there.form
    const form = await this.read(publicId, release)
    this.known.set(by, { form })
    return form
  }

  private async read(publicId: string, release: number): Promise<KnownForm | null> {
    const [row] = await this.db.query<Row>(BY_PUBLIC_ID, { bind: { publicId, release }, type: QueryTypes.SELECT })
    const kind = row && kindOf(row.kind)
    if (!row || !kind?.form) return null
    const settings = readSettings(kind, row.settings, row.kindVersion)
    const form = kind.form(settings)
    return form && { ...row, publicId, settings, form, delivery: deliveryOf(row, row.delivery) }
  }
}
