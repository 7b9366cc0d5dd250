import type { Region } from '../platforms'
import type { SpokenLanguage } from '../words'
import { filled } from '../letter'
import { sheetWords, type SheetWordId } from './sheet-words'
import type { DrawnPlacement } from './plan-drawing'
import type { Outcome } from './outcome'

export type Purpose = 'paste' | 'remove'

/** One thing to paste, or to take out. */
export interface SheetItem {
  /** As it is known outside; part of its addresses. */
  id: string
  widget: string
  page: string
  /** Address of the page; null for what stands on every page. */
  url: string | null
  /** Null for what stands over the page. */
  region: Region | null
  plan: DrawnPlacement[]
  snippet: string
  steps: { id: string; parts: { text: string; strong: boolean }[]; done: boolean }[]
  /** Of whoever keeps the site: '' for none. */
  note: string
  /** `told`: whoever pastes said that it did not work. */
  state: 'waiting' | 'looking' | 'told' | 'finished'
  /** What the last check since saw; null where nobody looked. */
  seen: Outcome | null
  /** What is shown there, drawn at its width; null where there is nothing to show yet. */
  preview: { src: string; width: number; height: number } | null
}

/** All that a sheet shows. Nothing else of the agency's is in it. */
export interface Sheet {
  purpose: Purpose
  language: SpokenLanguage
  agency: string
  site: string
  /** '' where nobody is named. */
  name: string
  message: string
  items: SheetItem[]
  /** Its own address, without an end. */
  address: string
  /** Of that address, as SVG. */
  qr: string
  /** In its language. */
  ends: string
}

/** The words of a sheet, filled in. */
export function speaker({ language, agency, site }: Pick<Sheet, 'language' | 'agency' | 'site'>) {
  const words = sheetWords[language.labels]
  return (id: SheetWordId, more: Record<string, string> = {}): string => filled(words[id], { agency, site, ...more })
}
export type Speak = ReturnType<typeof speaker>

/** In one sentence, what it is and for whom. */
export function asked({ purpose, items }: Pick<Sheet, 'purpose' | 'items'>, say: Speak): string {
  const isOut = purpose === 'remove'
  if (items.length !== 1) return say(isOut ? 'asksOutMany' : 'asksMany')
  return say(isOut ? 'asksOut' : 'asks', { what: `“${items[0]!.widget}”` })
}

/** Where one goes, in words. */
export const placeSaid = ({ page, region }: Pick<SheetItem, 'page' | 'region'>, say: Speak): string =>
  say('place', { page, region: say(region ?? 'overPage') })
