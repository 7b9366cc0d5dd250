// Published cases that ship without types.
declare module '@rmenke/css-tokenizer-tests' {
  export const testCorpus: Record<string, { css: string }>
}
declare module 'postcss-parser-tests' {
  export function eachTest(callback: (name: string, css: string) => void): void
}
