export { ENDLESS, type JobTime } from './job-time'
export { Queue, WAITED_FOR } from './queue'
export { afterTry, doubling, isDueAgain, stepped, type Outcome, type Retries } from './retries'
export { job, work, type Job, type Work } from './work'
