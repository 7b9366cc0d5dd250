import { randomUUID } from 'node:crypto'
import { sourceKinds } from '@pebblestrand/core/sources'
import type { Context } from '../../platform/context'
import { Source } from '../models'

export const KEPT_HERE = sourceKinds['kept-here']!.id

/** Begins a source of reviews that are kept here; its address is the screen where they stand. */
export function beginKept({ config }: Pick<Context, 'config'>, title: string): Promise<Source> {
  const id = randomUUID()
  const now = new Date()
  return Source.create({
    id,
    kind: KEPT_HERE,
    url: `${config.origin}/sources/${id}`,
    title,
    format: KEPT_HERE,
    fetchedAt: now,
    okAt: now,
  })
}
