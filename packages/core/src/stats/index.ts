export { meanWords, summarise, type RatingSummary } from './ratings'
