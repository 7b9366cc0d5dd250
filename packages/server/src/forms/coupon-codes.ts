/** Of a text with a code a line, or between commas, each once. */
export const codesIn = (text: string): string[] => [
  ...new Set(
    text
      .split(/[\r\n,;\t]+/)
      .map((code) => code.trim().slice(0, 60))
      .filter(Boolean),
  ),
]
