import cookie from '@fastify/cookie'
import helmet from '@fastify/helmet'
import serveStatic from '@fastify/static'
import swagger from '@fastify/swagger'
import Fastify, { LogController, type FastifyInstance } from 'fastify'
import { createJsonSchemaTransform, serializerCompiler } from 'fastify-type-provider-zod'
import { admitBy } from './accounts/guard'
import { countBy } from './accounts/how-often'
import { serverWithMemory } from './delivery/front'
import type { ArtefactMemory } from './artefacts/memory'
import { deliveryRoutes } from './delivery/routes'
import { toldRoutes } from './delivery/told'
import { assets } from './platform/assets'
import type { Context } from './platform/context'
import { AppError } from './platform/errors'
import { handleErrors } from './platform/http/error-handler'
import { healthRoutes } from './platform/http/health'
import { pictureRoutes } from './pictures/serve'
import { parse } from './platform/http/parse'
import { serveOn } from './platform/http/serve'
import { subjects } from './subjects'

const screens = {
  directives: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'http:', 'https:'],
    fontSrc: ["'self'", 'data:'],
    connectSrc: ["'self'"],
    frameSrc: ["'self'"],
    workerSrc: ["'self'"],
    frameAncestors: ["'none'"],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    upgradeInsecureRequests: null,
  },
}

/** Without the statement and its values, which a database's error carries along. */
const plainError = ({ name, message, stack, cause }: Error) => ({
  type: name,
  message: cause instanceof Error ? `${message} ${cause.message}` : message,
  stack: stack ?? '',
})

/** The nearest so many, or those at named addresses; what stands before them anybody can write. */
const believed = (proxies: number | string[]) =>
  typeof proxies === 'number' ? (_address: string, hop: number) => hop < proxies : proxies

type LogStream = { write(line: string): void }

/** The HTTP side. What client sites fetch stands apart: no cookies, no session, headers of its own. */
export async function buildApp(
  context: Omit<Context, 'log'>,
  memory: ArtefactMemory,
  logger: false | { stream: LogStream },
): Promise<FastifyInstance> {
  const app = Fastify({
    serverFactory: (framework) => serverWithMemory(memory, framework),
    logger: logger && { level: 'info', serializers: { err: plainError }, ...logger },
    logController: new LogController({ disableRequestLogging: true }),
    trustProxy: believed(context.config.trustProxy),
    bodyLimit: 1024 * 1024,
    routerOptions: { ignoreTrailingSlash: true },
  })
  const whole: Context = { ...context, log: app.log }
  handleErrors(app)
  await app.register(async (open) => {
    deliveryRoutes(open, memory, context.config)
    pictureRoutes(open)
    toldRoutes(open, whole, Object.assign({}, ...subjects.map((subject) => subject.told ?? {})))
  })
  for (const { pages } of subjects) if (pages) await app.register((apart) => pages(apart, whole))
  await app.register(async (own) => {
    await own.register(helmet, {
      contentSecurityPolicy: screens,
      strictTransportSecurity: context.config.origin.startsWith('https:'),
      crossOriginEmbedderPolicy: false,
    })
    await own.register(cookie)
    own.addHook(
      'onSend',
      async (request, reply) =>
        void (request.routeOptions.url?.startsWith('/api/') && reply.header('cache-control', 'no-store')),
    )
    await apiRoutes(own, whole)
    await screenRoutes(own)
  })
  return app
}

/** A codec's own side is a date; over the wire it is its text. */
const overTheWire = createJsonSchemaTransform({
  zodToJsonConfig: {
    unrepresentable: 'any',
    override: ({ zodSchema, jsonSchema }) => {
      if (zodSchema._zod.def.type === 'date') Object.assign(jsonSchema, { type: 'string', format: 'date-time' })
    },
  },
})

/** Not in the document that describes the API. */
const hidden = { schema: { hide: true } }

/** The routes of the contract, and the document that describes them. */
async function apiRoutes(app: FastifyInstance, context: Context): Promise<void> {
  app.decorateRequest('caller', null)
  app.setValidatorCompiler(({ schema }) => (value) => {
    try {
      return { value: parse(schema as never, value) }
    } catch (error) {
      return { error: error as Error }
    }
  })
  app.setSerializerCompiler(serializerCompiler)
  await app.register(swagger, {
    openapi: {
      openapi: '3.1.0',
      info: { title: 'Pebblestrand', version: '0.1.0', description: 'What the web application calls.' },
      servers: [{ url: context.config.origin }],
    },
    transform: overTheWire,
  })
  healthRoutes(app, context)
  app.get('/api/openapi.json', hidden, async () => app.swagger())
  await app.register(async (api) => {
    const serve = serveOn(api, admitBy(context.config), countBy(context.db))
    for (const subject of subjects) subject.routes?.(serve, context)
  })
}

/** As the router reads it. */
function decodedPath(url: string): string {
  try {
    return decodeURIComponent(url)
  } catch {
    return url
  }
}

/** The web application: its files, and its one page for every address of a screen. */
async function screenRoutes(app: FastifyInstance): Promise<void> {
  await app.register(serveStatic, {
    root: assets.web,
    wildcard: false,
    index: false,
    setHeaders: (response, path) => {
      response.header('cache-control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache')
      // The stage that shows them is of no origin.
      if (path.includes('/starter-pictures/')) response.header('cross-origin-resource-policy', 'cross-origin')
    },
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
    '/results',
    '/results/*',
    '/sources',
    '/sources/*',
    '/removed',
    '/account',
  ]
  for (const path of screens) app.get(path, hidden, (_request, reply) => reply.sendFile('index.html'))
  app.get('/*', hidden, (request, reply) => {
    if (decodedPath(request.url).startsWith('/api/')) throw new AppError('not-found')
    return reply.code(404).sendFile('index.html') // the application says it in its own look
  })
}
