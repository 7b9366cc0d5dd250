/** The command was called wrongly, or a file cannot be read: said on standard error, exit status 2. */
export class WrongCall extends Error {}
