import { setTimeout as sleep } from 'node:timers/promises'
import type { ServiceName } from '@pebblestrand/core/sources'
import type { z } from 'zod'
import type { Context } from '../../platform/context'
import { OutboundError, type OutboundAnswer } from '../../platform/outbound/client'
import type { SourceFault } from '../reading'

/** Seconds that are waited on the spot when the service asks for patience; longer, and it is asked again later. */
const PATIENCE = { once: 10, inAll: 45 }

/** What the service could not or would not answer, in words for the person. */
export class ServiceFault extends Error {
  constructor(
    readonly fault: SourceFault,
    /** What the service said, where it said something. */
    readonly answer?: unknown,
  ) {
    super(fault.message)
  }
}

const NAMES: Record<ServiceName, string> = {
  reviews: 'review service',
  photos: 'photo service',
}
const VARIABLES: Record<ServiceName, string> = {
  reviews: 'PEBBLESTRAND_REVIEW_SERVICE',
  photos: 'PEBBLESTRAND_PHOTO_SERVICE',
}

export interface Asking {
  context: Pick<Context, 'outbound' | 'config'>
  service: ServiceName
  /** What some refusals mean at this service, by their status and what they say. */
  faultOf(status: number, answer: unknown): SourceFault | undefined
  /** Of the account it is asked for; null for what anyone may read. */
  token: string | null
  until?: AbortSignal
}

/** A line of questions to the service, patient with its limits for so long in all. */
export class Service {
  private waited = 0

  constructor(private readonly asking: Asking) {}

  /** Its root. Throws a ServiceFault where none is set up. */
  get origin(): string {
    const { service, context } = this.asking
    const origin = context.config.services[service]
    if (!origin)
      throw new ServiceFault({
        code: 'no-service',
        message: `No ${NAMES[service]} is set up here.`,
        remedy: `Ask whoever runs this server to set ${VARIABLES[service]}.`,
      })
    return origin
  }

  /** Asks for JSON of a shape. Throws a ServiceFault. */
  async get<T>(path: string, shape: z.ZodType<T>): Promise<T> {
    const { context, token, until } = this.asking
    for (;;) {
      const headers = { accept: 'application/json', ...(token ? { authorization: `Bearer ${token}` } : {}) }
      const answer = await context.outbound.get(`${this.origin}${path}`, headers, until).catch(asFault)
      if (answer.status === 429) await this.wait(secondsIn(answer.headers['retry-after']))
      else return understood(answer, shape, this.asking.faultOf)
    }
  }

  private async wait(seconds: number): Promise<void> {
    this.waited += seconds
    if (seconds > PATIENCE.once || this.waited > PATIENCE.inAll)
      throw new ServiceFault({
        code: 'asked-too-often',
        message: 'The service asks us to wait.',
        remedy: 'Nothing to do: it is asked again when the time it named is over.',
        retryAt: new Date(Date.now() + seconds * 1000),
      })
    await sleep(seconds * 1000, undefined, { signal: this.asking.until })
  }
}

/** RFC 9110, section 10.2.3: seconds, or a date. */
export function secondsIn(retryAfter: string | undefined, now = Date.now()): number {
  if (!retryAfter) return 2
  if (/^\d+$/.test(retryAfter.trim())) return Number(retryAfter)
  const at = Date.parse(retryAfter)
  return Number.isNaN(at) ? 2 : Math.max(1, Math.ceil((at - now) / 1000))
}

const byStatus: Record<number, SourceFault> = {
  401: {
    code: 'reconnect',
    message: 'Our leave to read this account has run out.',
    remedy: 'Connect it again on the sources screen.',
  },
}

function understood<T>(answer: OutboundAnswer, shape: z.ZodType<T>, faultOf: Asking['faultOf']): T {
  if (answer.status >= 400) {
    const said = jsonOf(answer.body)
    throw new ServiceFault(
      faultOf(answer.status, said) ??
        byStatus[answer.status] ?? {
          code: `status-${answer.status}`,
          message: `The service answers with error ${answer.status}.`,
          remedy: 'Nothing to do: it is asked again.',
        },
      said,
    )
  }
  const read = shape.safeParse(jsonOf(answer.body))
  if (read.success) return read.data
  throw new ServiceFault({
    code: 'not-understood',
    message: 'The service answers in a form that is not known here.',
    remedy: 'Its interface may have changed: tell whoever runs this server.',
  })
}

export function jsonOf(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(bytes))
  } catch {
    return undefined
  }
}

export function asFault(error: unknown): never {
  if (!(error instanceof OutboundError)) throw error
  throw new ServiceFault({
    code: error.code,
    message: `The service does not answer. ${error.message}`,
    remedy: 'Nothing to do: it is asked again.',
  })
}
