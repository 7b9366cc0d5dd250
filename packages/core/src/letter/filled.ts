/** A text with what stands in braces filled in; what nobody gives stays as it is. */
export const filled = (text: string, given: Readonly<Record<string, string>>): string =>
  text.replace(/\{([\w-]+)\}/g, (whole, name: string) => (Object.hasOwn(given, name) ? given[name]! : whole))
