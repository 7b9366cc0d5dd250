import { createServer, type IncomingMessage, type RequestListener, type Server, type ServerResponse } from 'node:http'
import type { PayloadMemory, Served } from './memory'
import { sendPrepared } from './prepared'

/** Addresses of what an install serves, and which part of it stands there (`paths` of the core's snippet). */
export const doors: { before: string; after: string; part: keyof Served }[] = [
  { before: '/p/', after: '.json', part: 'body' },
  { before: '/f/', after: '', part: 'frame' },
  { before: '/v/', after: '', part: 'frame' },
]

/** Answers from memory where it can. */
function answered(memory: PayloadMemory, request: IncomingMessage, response: ServerResponse): boolean {
  const url = request.url!
  if (request.method !== 'GET' || url[2] !== '/') return false
  const door = doors.find(({ before, after }) => url.startsWith(before) && url.endsWith(after))
  const known = door && memory.peek(url.slice(door.before.length, url.length - door.after.length))
  if (!known) return false
  sendPrepared(request, response, known[door.part])
  return true
}

/** Node's server with the memory in front of the framework: most requests by far are for bytes that are at hand, and routing them takes longer than answering. */
export function serverWithMemory(memory: PayloadMemory, framework: RequestListener): Server {
  const server = createServer((request, response) => {
    if (!answered(memory, request, response)) framework(request, response)
  })
  server.keepAliveTimeout = 72_000 // longer than the usual minute of a proxy in front
  server.requestTimeout = 30_000
  return server
}
