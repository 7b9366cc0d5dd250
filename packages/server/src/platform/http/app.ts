import cookie from '@fastify/cookie'
import helmet from '@fastify/helmet'
import serveStatic from '@fastify/static'
import Fastify, { LogController, type FastifyInstance } from 'fastify'
import { accountRoutes } from '../../accounts/routes'
import { guard } from '../../accounts/guard'
import { checkRoutes } from '../../checks/routes'
import { serverWithMemory } from '../../delivery/front'
import type { PayloadMemory } from '../../delivery/memory'
import { deliveryRoutes } from '../../delivery/routes'
import { findRoutes } from '../../find/routes'
import { installRoutes } from '../../installs/routes'
import { removalRoutes } from '../../removals/routes'
import { placeRoutes } from '../../sites/places'
import { siteRoutes } from '../../sites/routes'
import { sourceRoutes } from '../../sources/routes'
import { todayRoutes } from '../../today/routes'
import { widgetRoutes } from '../../widgets/routes'
import { assets } from '../assets'
import { AppError } from '../errors'
import type { Context } from '../context'
import { handleErrors } from './error-handler'
import { healthRoutes } from './health'

const screens = {
  directives: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'http:', 'https:'],
    fontSrc: ["'self'", 'data:'],
    connectSrc: ["'self'"],
    frameSrc: ["'self'"],
    frameAncestors: ["'none'"],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    upgradeInsecureRequests: null,
  },
}

/** Without the statement and its values, which a database's error carries along. */
const plainError = ({ name, message, stack }: Error) => ({ type: name, message, stack: stack ?? '' })

/** The HTTP side. What client sites fetch stands apart: no cookies, no session, headers of its own. */
export async function buildApp(
  context: Omit<Context, 'log'>,
  memory: PayloadMemory,
  logger: boolean,
): Promise<FastifyInstance> {
  const app = Fastify({
    serverFactory: (framework) => serverWithMemory(memory, framework),
    logger: logger && { level: 'warn', serializers: { err: plainError } },
    logController: new LogController({ disableRequestLogging: true }),
    trustProxy: context.config.trustProxy,
    bodyLimit: 1024 * 1024,
    routerOptions: { ignoreTrailingSlash: true },
  })
  const whole: Context = { ...context, log: app.log }
  handleErrors(app)
  await app.register(async (delivery) => deliveryRoutes(delivery, memory))
  await app.register(async (own) => {
    await own.register(helmet, {
      contentSecurityPolicy: screens,
      strictTransportSecurity: context.config.origin.startsWith('https:'),
      crossOriginEmbedderPolicy: false,
    })
    await own.register(cookie)
    own.addHook(
      'onSend',
      async (request, reply) => void (request.url.startsWith('/api/') && reply.header('cache-control', 'no-store')),
    )
    healthRoutes(own, whole)
    await own.register(async (open) => accountRoutes(open, whole))
    await own.register(async (closed) => {
      guard(closed)
      for (const routes of [
        todayRoutes,
        siteRoutes,
        placeRoutes,
        sourceRoutes,
        widgetRoutes,
        installRoutes,
        checkRoutes,
        findRoutes,
        removalRoutes,
      ])
        routes(closed, whole)
    })
    await screenRoutes(own)
  })
  return app
}

/** The web application: its files, and its one page for every address of a screen. */
async function screenRoutes(app: FastifyInstance): Promise<void> {
  await app.register(serveStatic, {
    root: assets.web,
    wildcard: false,
    index: false,
    setHeaders: (response, path) =>
      void response.header(
        'cache-control',
        path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache',
      ),
  })
  const screens = [
    '/',
    '/sign-in',
    '/set-up',
    '/today',
    '/sites',
    '/sites/*',
    '/widgets',
    '/widgets/*',
    '/installs',
    '/installs/*',
    '/removed',
  ]
  for (const path of screens) app.get(path, (_request, reply) => reply.sendFile('index.html'))
  app.get('/*', (request, reply) => {
    if (request.url.startsWith('/api/')) throw new AppError('not-found')
    return reply.code(404).sendFile('index.html') // the application says it in its own look
  })
}
