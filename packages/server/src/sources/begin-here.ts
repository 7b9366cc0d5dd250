import { randomUUID } from 'node:crypto'
import type { Context } from '../platform/context'
import { Source } from './models'

/** Begins a source that is written here and never read; its address is the screen where it stands. */
export function beginHere({ config }: Pick<Context, 'config'>, kind: string, title: string): Promise<Source> {
  const id = randomUUID()
  const now = new Date()
  return Source.create({
    id,
    kind,
    url: `${config.origin}/sources/${id}`,
    title,
    format: kind,
    fetchedAt: now,
    okAt: now,
  })
}
