/** Lists of words that carry little, by language (ISO 639-3). */
declare module 'stopword' {
  export const deu: string[]
  export const eng: string[]
  export const fra: string[]
  export const nld: string[]
  export const spa: string[]
}
