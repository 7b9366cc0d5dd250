import { decodeBytes, type SourceKind } from '@pebblestrand/core/sources'
import type { Context } from '../../platform/context'
import { OutboundError } from '../../platform/outbound/client'
import { ServiceFault } from './ask'

/** Ids behind a page of a service: it is opened, and followed where it leads; its address or what it says names them. Throws a ServiceFault. */
export async function idsBehind(
  { outbound, threads }: Context,
  kind: SourceKind,
  address: string,
  instead: string,
): Promise<string[]> {
  const answer = await outbound.get(address).catch((error: unknown) => {
    if (error instanceof OutboundError)
      throw new ServiceFault({ code: error.code, message: error.message, remedy: instead })
    throw error
  })
  const meant = kind.recognise(answer.finalUrl)
  if (meant?.what === 'id') return [meant.id]
  const html = decodeBytes(answer.body, answer.headers['content-type'])
  return threads.run('named', { kind: kind.id, html, base: answer.finalUrl }, new URL(answer.finalUrl).host)
}
