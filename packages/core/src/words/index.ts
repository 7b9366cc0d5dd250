export { duration } from './duration'
export { listed } from './listed'
