export { EXPIRES_SECONDS, Queue, WAITED_FOR } from './queue'
export { job, work, type Job, type Work } from './work'
