export { EXPIRES_SECONDS, Queue } from './queue'
export { job, work, type Job, type Work } from './work'
