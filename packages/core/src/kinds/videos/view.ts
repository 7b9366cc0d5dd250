import type { Item, Picture, VideoBody } from '../../items'
import { datesGroup, headingGroup } from '../groups'
import type { RenderContext, View } from '../kind'
import { sources, type VideosSettings } from './settings'

export interface ShownFilm {
  title: string
  picture: Picture | null
  /** "12:34", and the same as ISO 8601; '' where it is not shown. */
  length: string
  duration: string
  date: string
  iso: string | null
  link: string | null
  player: string | null
  /** Who is asked when it plays. */
  note: string
}

/** What is shown, every word as it will stand there. */
export const filmsOf = ({ settings, items, context }: View<VideosSettings>) => ({
  heading: headingGroup.heading(settings, sources.sourceIds(settings), context),
  description: settings.description,
  link: headingGroup.link(sources.sourceIds(settings), context),
  films: items.map((item) => shownFilm(item, settings, context)),
})

function shownFilm({ link, publishedAt, body }: Item, settings: VideosSettings, context: RenderContext): ShownFilm {
  const { title, picture, seconds, player } = body as VideoBody
  const isKnown = settings.length && seconds !== null
  return {
    title,
    picture,
    length: isKnown ? clock(seconds) : '',
    duration: isKnown ? `PT${Math.round(seconds)}S` : '',
    date: settings.date && publishedAt ? datesGroup.format(settings, publishedAt, context) : '',
    iso: publishedAt,
    link,
    player,
    note: player ? settings.labels.asks.replaceAll('{host}', hostOf(player)) : '',
  }
}

const hostOf = (address: string) => (URL.canParse(address) ? new URL(address).hostname : address)

/** "3:05", "1:02:03". */
export function clock(seconds: number): string {
  const whole = Math.round(seconds)
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60]
  const two = (n: number) => String(n).padStart(2, '0')
  return h ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`
}
