import { randomUUID } from 'node:crypto'
import type { TypedPick } from '@pebblestrand/contract'
import type { PickBody } from '@pebblestrand/core/items'
import { type Entry } from '@pebblestrand/core/items'
import { languageTag } from '@pebblestrand/core/words'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import { ItemRow, type Source } from '../models'
import { asEntry } from '../store-items'
import { changeCollection, moved } from './collection'

/** Keeps a pick as a person made it: a new one first of all, another where it stood, unless a place is named. */
export async function putPick(context: Context, source: Source, typed: TypedPick): Promise<Entry> {
  const key = typed.key ?? `pick:${randomUUID()}`
  const [kept] = await changeCollection(context, source, async (keys, transaction) => {
    const row = await ItemRow.findOne({ where: { sourceId: source.id, key }, transaction })
    const entry = entryOf(key, typed, row ? asEntry(row) : null)
    const place = typed.at ?? (keys.includes(key) ? keys.indexOf(key) : 0)
    return { keys: moved(keys, key, place), entries: [entry] }
  })
  return kept!
}

/** What no form asks for stays as it was. */
function entryOf(
  key: string,
  { title, text, link, site, picture, labels, date, language }: TypedPick,
  before: Entry | null,
): Entry {
  const day = date ?? before?.publishedAt?.slice(0, 10) ?? new Date().toISOString().slice(0, 10)
  const isSameDay = day !== '' && before?.publishedAt?.slice(0, 10) === day
  const body: PickBody = { type: 'pick', title: title || titleFor(link), text, site, picture }
  return {
    key,
    author: before?.author ?? null,
    publishedAt: day ? (isSameDay ? before.publishedAt : `${day}T12:00:00.000Z`) : null,
    link: link || null,
    language: language === undefined ? (before?.language ?? null) : languageTag(language),
    labels: [...new Set(labels)],
    body,
  }
}

/** Of one that has no title: where it leads. */
export const titleFor = (link: string): string => {
  const { host, pathname } = new URL(link)
  return host.replace(/^www\./, '') + pathname.replace(/\/$/, '')
}

export async function dropPick(context: Context, source: Source, key: string): Promise<{ entry: Entry; at: number }> {
  const row = await ItemRow.findOne({ where: { sourceId: source.id, key } })
  if (!row) throw new AppError('not-found')
  let at = 0
  await changeCollection(context, source, (keys) => {
    at = keys.indexOf(key)
    return { keys: keys.filter((one) => one !== key) }
  })
  return { entry: asEntry(row), at }
}

export async function movePick(context: Context, source: Source, key: string, to: number): Promise<void> {
  await changeCollection(context, source, (keys) => {
    if (!keys.includes(key)) throw new AppError('not-found')
    return { keys: moved(keys, key, to) }
  })
}
