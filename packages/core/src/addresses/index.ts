export { completeAddress } from './complete'
