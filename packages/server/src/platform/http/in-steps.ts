import { PassThrough } from 'node:stream'
import type { FastifyReply, FastifyRequest } from 'fastify'
import { answerTo } from './error-handler'

const NDJSON = 'application/x-ndjson'

/**
 * Work that takes a while tells what it is at. Who accepts `application/x-ndjson` gets a line of JSON for each step,
 * `{"step":…}`, and a last one with `{"result":…}` or `{"error":…}`; anybody else the result alone.
 */
export async function inSteps<Step, Result>(
  request: FastifyRequest,
  reply: FastifyReply,
  work: (tell: (step: Step) => void) => Promise<Result>,
): Promise<Result | FastifyReply> {
  if (request.headers.accept !== NDJSON) return work(() => {})
  const lines = new PassThrough()
  const write = (line: object) => void lines.write(`${JSON.stringify(line)}\n`)
  void work((step) => write({ step }))
    .then(
      (result) => write({ result }),
      (error: unknown) => write(answerTo(error, request).toBody()),
    )
    .finally(() => lines.end())
  return reply.type(NDJSON).send(lines)
}
