import { routes } from '@pebblestrand/contract'
import type { FastifyReply, FastifyRequest } from 'fastify'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { clearCookie, readCookie, setCookie } from './cookies'
import { DEVICE_DAYS, knownDevice, rememberDevice } from './devices'
import { requireHardToGuess } from './easily-guessed'
import { requireToken } from './guard'
import { User } from './models'
import { checkNobody, checkPassword, hashPassword } from './password'
import { begin, DAYS, end, endOthers, resume } from './sessions'
import { agencyName, setUpOwner, setupKey } from './setup'
import { noteSignIn, origin } from './sign-ins'
import { Tries } from './tries'

const facts = async (user: User, csrf: string) => ({
  user: { id: user.id, name: user.name, email: user.email, role: user.role },
  csrf,
  agency: await agencyName(),
})

/** Signing in and out, the first owner, and one's password. What can be guessed at is limited in failed tries. */
export function accountRoutes(serve: Serve, { db, config, log }: Context): void {
  const tries = new Tries(db, async ({ ip, account }, limit) => {
    const user = await User.withEmail(account)
    log.warn({ ip, limit, userId: user?.id }, 'sign-in is locked for a while')
    // An address may be locked for its tries at others.
    if (user && limit !== 'address') await noteSignIn('locked-out', user.id, { address: ip, browser: '' })
  })

  /** A new session in place of the browser's old one. */
  const welcome = async (request: FastifyRequest, reply: FastifyReply, user: User) => {
    await end(readCookie(config, request, 'session'))
    const { token, csrf } = await begin(user.id, origin(request).browser)
    setCookie(config, reply, 'session', token, DAYS.most)
    setCookie(
      config,
      reply,
      'device',
      await rememberDevice(user.id, readCookie(config, request, 'device')),
      DEVICE_DAYS,
    )
    log.info({ ip: request.ip, userId: user.id }, 'signed in')
    await noteSignIn('signed-in', user.id, origin(request))
    return facts(user, csrf)
  }

  serve(routes.accounts.session, async ({ request }) => {
    const signedIn = await resume(readCookie(config, request, 'session'))
    if (signedIn) return facts(signedIn.user, signedIn.session.csrf)
    return { user: null, setup: (await User.count()) === 0, demo: config.demo }
  })

  serve(routes.accounts.signIn, async ({ request, reply, body: { email, password } }) => {
    const device = await knownDevice(readCookie(config, request, 'device'), email)
    const trier = { ip: request.ip, account: email, device }
    const user = await tries.during(trier, () => userWith(email, password, request))
    return welcome(request, reply, user)
  })

  serve(routes.accounts.signOut, async ({ request, reply }) => {
    const token = readCookie(config, request, 'session')
    const signedIn = await resume(token)
    if (signedIn) requireToken(request, signedIn.session.csrf)
    await end(token)
    clearCookie(config, reply, 'session')
    return { user: null }
  })

  serve(routes.accounts.setupState, async () => ({ open: (await setupKey()) !== null }))

  serve(routes.accounts.setUp, async ({ request, reply, body }) => {
    const trier = { ip: request.ip, account: 'set-up', device: null }
    return welcome(request, reply, await tries.during(trier, () => setUpOwner(db, body)))
  })

  serve(routes.accounts.changePassword, async ({ request, userId, body: { current, wanted } }) => {
    const user = (await User.findByPk(userId))!
    const trier = { ip: request.ip, account: user.email, device: request.caller!.sessionId }
    await tries.during(trier, async () => {
      if (await checkPassword(current, user.passwordHash)) return
      throw new AppError('invalid', { issues: [{ field: 'current', message: 'is not your password' }] })
    })
    await requireHardToGuess(wanted, 'wanted', [user.name, user.email, await agencyName()])
    await user.update({ passwordHash: await hashPassword(wanted) })
    await noteSignIn('password-changed', user.id, origin(request))
    return { ended: await endOthers(user.id, request.caller!.sessionId) }
  })

  async function userWith(email: string, password: string, request: FastifyRequest): Promise<User> {
    const user = await User.withEmail(email)
    const right = user ? await checkPassword(password, user.passwordHash) : await checkNobody(password)
    if (user && right) return user
    log.warn({ ip: request.ip, userId: user?.id }, 'a sign-in failed')
    if (user) await noteSignIn('sign-in-failed', user.id, origin(request))
    throw new AppError('wrong-sign-in')
  }
}
