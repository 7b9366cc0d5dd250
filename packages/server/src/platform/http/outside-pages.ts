import type { FastifyInstance } from 'fastify'

/** Headers of pages for people without an account, opened by a private link: in no frame, told to nobody, found by no search. */
export const headersForPrivateLinks = (app: FastifyInstance, policy: string): void =>
  void app.addHook('onSend', async (_request, reply) => {
    reply.headers({
      'content-security-policy': policy,
      'referrer-policy': 'no-referrer',
      'x-content-type-options': 'nosniff',
      'x-frame-options': 'DENY',
      'x-robots-tag': 'noindex',
    })
  })
