export { nameBy, namingDates, namingWords, type NamingFacts, type NamingWord } from './naming'
