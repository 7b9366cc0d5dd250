export { findPhrases, type Said, type SharedPhrase } from './find-phrases'
export { countPhrases } from './count-phrases'
export { phrasesFor, saidIn, type PhraseWish } from './wish'
export { phraseLanguages } from './languages'
