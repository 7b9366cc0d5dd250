import { partForm } from '@pebblestrand/core/artefacts'
import { createHash } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import { Op, QueryTypes, type Transaction } from 'sequelize'
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

interface Stored {
  publicId: string
  form: string
  etag: string
  facts: ArtefactFacts
}

const STORED = `SELECT public_id AS "publicId", form, etag, facts FROM artefacts WHERE public_id = ANY($publicIds)`

/** Many artefacts have the same bytes and the same facts: each is sent once. */
const WRITE = `
INSERT INTO artefacts (public_id, form, install_id, widget_id, content_type, bytes, etag, facts, computed_at)
SELECT a.public_id, a.form, a.install_id, a.widget_id, a.content_type, b.bytes, a.etag, f.facts, now()
FROM unnest($publicIds::text[], $forms::text[], $installIds::uuid[], $widgetIds::uuid[], $types::text[], $etags::text[], $facts::int[])
  AS a (public_id, form, install_id, widget_id, content_type, etag, fact)
JOIN unnest($contents::text[], $bytes::bytea[]) AS b (etag, bytes) ON b.etag = a.etag
JOIN unnest($known::jsonb[]) WITH ORDINALITY AS f (facts, fact) ON f.fact = a.fact
ON CONFLICT (public_id, form) DO UPDATE SET
  content_type = excluded.content_type, bytes = excluded.bytes, etag = excluded.etag, facts = excluded.facts, computed_at = excluded.computed_at`

/** Stores what differs from what is there; whoever keeps the old bytes hears of it when the transaction is through. */
export async function storeArtefacts(
  context: Context,
  artefacts: readonly NewArtefact[],
  transaction: Transaction,
): Promise<void> {
  const publicIds = [...new Set(artefacts.map((a) => a.publicId))]
  const there = await context.db.query<Stored>(STORED, { bind: { publicIds }, type: QueryTypes.SELECT, transaction })
  const known = new Map(there.map((a) => [key(a), a]))
  const tags = new Map<string | Buffer, string>()
  const tagOf = (text: string | Buffer) => tags.get(text) ?? (tags.set(text, etag(text)), tags.get(text)!)
  const changed = artefacts
    .map((a) => ({ ...a, etag: tagOf(a.text) }))
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
  if (changed.length) await write(context, changed, transaction)
  await announce(context, [...new Set([...changed, ...over].map((a) => a.publicId))], transaction)
}

async function write(
  { db }: Pick<Context, 'db'>,
  changed: readonly (NewArtefact & { etag: string })[],
  transaction: Transaction,
): Promise<void> {
  const contents = new Map(changed.map((a) => [a.etag, Buffer.from(a.text as string)]))
  /** Numbered from 1, as the database counts. */
  const facts = new Map<string, number>()
  const factOf = (own: ArtefactFacts) => {
    const said = JSON.stringify(own)
    if (!facts.has(said)) facts.set(said, facts.size + 1)
    return facts.get(said)!
  }
  await db.query(WRITE, {
    bind: {
      publicIds: changed.map((a) => a.publicId),
      forms: changed.map((a) => a.form),
      installIds: changed.map((a) => a.installId),
      widgetIds: changed.map((a) => a.widgetId),
      types: changed.map((a) => a.contentType),
      etags: changed.map((a) => a.etag),
      facts: changed.map((a) => factOf(a.facts)),
      contents: [...contents.keys()],
      bytes: [...contents.values()],
      known: [...facts.keys()],
    },
    transaction,
  })
}

/** For so long scripts of version 1 may still be kept by a browser: a day past their freshness, and some. */
const OLD_PAYLOADS_MS = 3 * 86_400_000

/** Payloads from before this version, once no browser asks for them any more. */
export const forgetOldPayloads = () =>
  Artefact.destroy({ where: { form: OLD_PAYLOAD, computedAt: { [Op.lt]: new Date(Date.now() - OLD_PAYLOADS_MS) } } })
