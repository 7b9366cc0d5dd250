export { movedTo } from './moved'
export { problemOf } from './problem'
export { isSamePage } from './same-page'
