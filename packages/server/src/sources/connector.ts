import { sourceKinds } from '@pebblestrand/core/sources'
import type { Context } from '../platform/context'
import { readDocument } from './read-document'
import type { Known, SourceReading } from './reading'

/** The server's side of a sort of source: how its bytes are come by. */
export interface Connector {
  /** Asks for what is new since `known`, and gives up when `until` says so. Whatever goes wrong is part of the answer. */
  read(
    context: Pick<Context, 'outbound' | 'threads'>,
    address: string,
    known?: Known,
    until?: AbortSignal,
  ): Promise<SourceReading>
}

/** Connectors by the sort of source (core/sources). A document at an address is the usual case. */
export const connectors: Record<string, Connector> = {
  feed: {
    read: (context, address, known, until) => readDocument(context, sourceKinds.feed!, address, known, until),
  },
  'structured-data': {
    read: (context, address, known, until) =>
      readDocument(context, sourceKinds['structured-data']!, address, known, until),
  },
}
