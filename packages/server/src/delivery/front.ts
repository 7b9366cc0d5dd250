import { createServer, type IncomingMessage, type RequestListener, type Server, type ServerResponse } from 'node:http'
import { publicPaths, type PublicPath } from '@pebblestrand/core/wire'
import type { ArtefactMemory } from '../artefacts/memory'
import { OLD_PAYLOAD } from '../artefacts/models'
import { sendPrepared } from '../artefacts/prepared'

/** Which form stands at which of the public paths that name an install. */
const formAt = {
  payload: 'payload',
  payload1: OLD_PAYLOAD,
  frame: 'frame',
  link: 'page',
  connector: 'connector',
  site: 'site',
  still: 'still',
  stillTwice: 'still-2',
  stillDrawing: 'still-svg',
} as const satisfies Partial<Record<PublicPath, string>>

/** The same, taken apart at the id. */
export const artefactPaths = Object.entries(formAt).map(([path, form]) => {
  const [before, after] = publicPaths[path as keyof typeof formAt].split('{id}') as [string, string]
  return { before, after, form }
})

/** Answers from memory where it can. */
function answered(memory: ArtefactMemory, request: IncomingMessage, response: ServerResponse): boolean {
  const url = request.url!
  if (request.method !== 'GET') return false
  const path = artefactPaths.find(({ before, after }) => url.startsWith(before) && url.endsWith(after))
  const known = path && memory.peek(url.slice(path.before.length, url.length - path.after.length), path.form)
  if (!known) return false
  sendPrepared(request, response, known)
  return true
}

/** Milliseconds in which a new connection has to say something. */
const SILENT_MS = 10_000

/** Who connects and says nothing holds a place that others want. */
function closeSilent(server: Server): void {
  server.on('connection', (socket) => {
    setTimeout(() => socket.bytesRead === 0 && socket.destroy(), SILENT_MS).unref()
  })
}

/** Node's server with the memory in front of the framework: most requests by far are for bytes that are at hand, and routing them takes longer than answering. */
export function serverWithMemory(memory: ArtefactMemory, framework: RequestListener): Server {
  const server = createServer((request, response) => {
    if (!answered(memory, request, response)) framework(request, response)
  })
  server.keepAliveTimeout = 72_000 // longer than the usual minute of a proxy in front
  server.requestTimeout = 30_000
  server.headersTimeout = 15_000
  closeSilent(server)
  return server
}
