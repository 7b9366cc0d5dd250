import type { FastifyInstance, FastifyReply } from 'fastify'
import { fn, col, where } from 'sequelize'
import { z } from 'zod'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { line } from '../platform/http/fields'
import { parse } from '../platform/http/parse'
import { requireToken } from './guard'
import { User } from './models'
import { checkNobody, checkPassword } from './password'
import { begin, COOKIE, end, resume } from './sessions'
import { agencyName, setUpOwner, setupKey } from './setup'
import { Tries } from './tries'

const Email = z.email('must be an e-mail address').max(200, 'must have 200 letters or fewer')
const SignIn = z.object({
  email: Email,
  password: z.string('is missing').min(1, 'is missing').max(500, 'must have 500 letters or fewer'),
})
const SetUp = z.object({
  key: line(100),
  agency: line(80),
  name: line(80),
  email: Email,
  password: z
    .string('is missing')
    .min(10, 'must have 10 characters or more')
    .max(500, 'must have 500 letters or fewer'),
})

const facts = async (user: User, csrf: string) => ({
  user: { id: user.id, name: user.name, email: user.email, role: user.role },
  csrf,
  agency: await agencyName(),
})

/** Signing in and out, and the first owner. Open to all; sign-in and set-up are limited in failed tries. */
export async function accountRoutes(app: FastifyInstance, { db, config }: Context): Promise<void> {
  const tries = new Tries(db)

  const welcome = async (reply: FastifyReply, user: User) => {
    const { token, csrf } = await begin(user.id)
    reply.setCookie(COOKIE, token, {
      path: '/',
      httpOnly: true,
      sameSite: 'lax',
      secure: config.origin.startsWith('https:'),
      maxAge: 14 * 86_400,
    })
    return facts(user, csrf)
  }

  app.get('/api/session', async (request, reply) => {
    const session = await resume(request.cookies[COOKIE])
    if (session) return facts(session.user, session.csrf)
    return reply.send({ user: null, setup: (await User.count()) === 0, demo: config.demo })
  })

  app.post('/api/session', async (request, reply) => {
    const { email, password } = parse(SignIn, request.body)
    return welcome(reply, await tries.during(request.ip, email, () => userWith(email, password)))
  })

  app.delete('/api/session', async (request, reply) => {
    const token = request.cookies[COOKIE]
    const session = await resume(token)
    if (session) requireToken(request, session.csrf)
    await end(token)
    return reply.clearCookie(COOKIE, { path: '/' }).send({ user: null })
  })

  app.get('/api/setup', async () => ({ open: (await setupKey()) !== null }))

  app.post('/api/setup', async (request, reply) => {
    const owner = parse(SetUp, request.body)
    return welcome(reply, await tries.during(request.ip, 'set-up', () => setUpOwner(db, owner)))
  })
}

async function userWith(email: string, password: string): Promise<User> {
  const user = await User.findOne({ where: where(fn('lower', col('email')), email.toLowerCase()) })
  const right = user ? await checkPassword(password, user.passwordHash) : await checkNobody(password)
  if (!user || !right) throw new AppError('wrong-sign-in')
  return user
}
