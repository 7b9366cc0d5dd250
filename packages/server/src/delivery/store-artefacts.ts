import { partForm } from '@pebblestrand/core/artefacts'
import { createHash } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import { Op, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { announce } from './announce'
import { Artefact, OLD_PAYLOAD, type ArtefactFacts } from './models'

/** One artefact to be stored, its owner named by one of the two ids. */
export interface NewArtefact {
  publicId: string
  form: string
  installId: string | null
  widgetId: string | null
  contentType: string
  text: string | Buffer
  facts: ArtefactFacts
}

const etag = (text: string | Buffer) => `"${createHash('sha256').update(text).digest('base64url').slice(0, 22)}"`

const key = ({ publicId, form }: { publicId: string; form: string }) => `${publicId} ${form}`

/** Stores what differs from what is there; whoever keeps the old bytes hears of it when the transaction is through. */
export async function storeArtefacts(
  context: Context,
  artefacts: readonly NewArtefact[],
  transaction: Transaction,
): Promise<void> {
  const publicIds = [...new Set(artefacts.map((a) => a.publicId))]
  const there = await Artefact.findAll({
    attributes: ['publicId', 'form', 'etag', 'facts'],
    where: { publicId: publicIds },
    transaction,
  })
  const known = new Map(there.map((a) => [key(a), a]))
  const tags = new Map<string | Buffer, string>()
  const tagOf = (text: string | Buffer) => tags.get(text) ?? (tags.set(text, etag(text)), tags.get(text)!)
  const changed = artefacts
    .map(({ text, ...rest }) => ({ ...rest, bytes: text, etag: tagOf(text) }))
    .filter((a) => {
      const old = known.get(key(a))
      return !old || old.etag !== a.etag || !isDeepStrictEqual(old.facts, a.facts)
    })
  const made = new Set(artefacts.map(key))
  // A list that has grown shorter has fewer parts.
  const over = there.filter((a) => a.form.startsWith(partForm('')) && !made.has(key(a)))
  if (over.length)
    await Artefact.destroy({
      where: { [Op.or]: over.map(({ publicId, form }) => ({ publicId, form })) },
      transaction,
    })
  if (!changed.length && !over.length) return
  const now = new Date()
  await Artefact.bulkCreate(
    changed.map((a) => ({
      ...a,
      bytes: typeof a.bytes === 'string' ? Buffer.from(a.bytes) : a.bytes,
      computedAt: now,
    })),
    {
      updateOnDuplicate: ['contentType', 'bytes', 'etag', 'facts', 'computedAt'],
      conflictAttributes: ['publicId', 'form'] as never,
      transaction,
    },
  )
  await announce(context, [...new Set([...changed, ...over].map((a) => a.publicId))], transaction)
}

/** For so long scripts of version 1 may still be kept by a browser: a day past their freshness, and some. */
const OLD_PAYLOADS_MS = 3 * 86_400_000

/** Payloads from before this version, once no browser asks for them any more. */
export const forgetOldPayloads = () =>
  Artefact.destroy({ where: { form: OLD_PAYLOAD, computedAt: { [Op.lt]: new Date(Date.now() - OLD_PAYLOADS_MS) } } })
