import type { Rendered } from '../kinds'
import { labels, spokenLanguage } from '../words'

/** What the script on a client's page gets: all a widget is, ready to be shown. */
export interface Payload extends Omit<Rendered, 'more'> {
  v: 2
  release: number
  /** The widget's name: what a frame or a section is called. */
  name: string
  /** What the button says that closes it, where it was opened over the page. */
  closes: string
}

/** @param widget its id: what stands over a page is found by it there */
export const payloadOf = (
  { more: _, ...rendered }: Rendered,
  { widget, ...about }: { release: number; name: string; widget?: string },
): Payload => ({
  v: 2,
  ...rendered,
  ...(rendered.data.over ? { data: { ...rendered.data, over: { ...rendered.data.over, widget } } } : {}),
  ...about,
  closes: labels[spokenLanguage(languageOf(rendered.html)).labels].close,
})

/** The language that a widget speaks, as its outermost element says. */
export const languageOf = (html: string) => /^<[^>]*? lang="([\w-]+)"/.exec(html)?.[1] ?? 'en'

/** What is on the workbench's stage has nowhere to fetch its later parts from: they come with it. */
export type StagePayload = Payload & Pick<Rendered, 'more'>

/** The form under which a part of what comes later is served; the first is 1. */
export const partForm = (number: number | '') => `more-${number}`
