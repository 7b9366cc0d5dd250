import type { FastifyError, FastifyInstance, FastifyRequest } from 'fastify'
import { UniqueConstraintError } from 'sequelize'
import { isDatabaseAway } from '../database/away'
import { AppError, errors, type FieldIssue } from '../errors'
import { TooTangled } from '../threads/threads'

/** Turns whatever was thrown into an error body. What is unexpected is logged and not told. */
export function handleErrors(app: FastifyInstance): void {
  app.setErrorHandler((error: FastifyError, request, reply) => {
    const answer = answerTo(error, request)
    return reply.code(answer.status).send(answer.toBody())
  })
  app.setNotFoundHandler((_request, reply) => {
    const answer = new AppError('not-found')
    return reply.code(404).send(answer.toBody())
  })
}

/** What is told of an error; one that nobody foresaw is logged. */
export function answerTo(error: unknown, request: FastifyRequest): AppError {
  if (isDatabaseAway(error)) {
    request.log.error({ err: error, url: request.url }, 'the database is away')
    return new AppError('database-away')
  }
  const known = asAppError(error as FastifyError)
  if (!known) request.log.error({ err: error, url: request.url }, 'unexpected error')
  return known ?? new AppError('unexpected')
}

function asAppError(error: FastifyError): AppError | null {
  if (error instanceof AppError) return error
  if (error instanceof TooTangled)
    return new AppError('tangled', { message: `${errors.tangled.message} ${error.message}` })
  if (error instanceof UniqueConstraintError) return new AppError('taken', { issues: takenFields(error) })
  if (error.statusCode && error.statusCode < 500)
    return new AppError('invalid', { message: `${errors.invalid.message} ${error.message}` })
  return null
}

/** The last column of the broken constraint is the one a person can change: `lower(name)`, `site_id, path`. */
function takenFields(error: UniqueConstraintError): FieldIssue[] {
  const column = Object.keys(error.fields).join(', ').split(', ').at(-1)
  const field = /^(?:lower\()?(\w+)/.exec(column ?? '')?.[1]
  return field ? [{ field, message: 'is taken already' }] : []
}
