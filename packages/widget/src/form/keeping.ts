/** What is sent, and under which key: the same key is answered once. */
export interface Pending {
  key: string
  body: string
}

/**
 * What somebody wrote and has not sent yet, kept in their tab: a reload or a lost connection takes nothing from them. Where storage
 * is refused it lives as long as the page.
 */
export class Keeping {
  private readonly here = new Map<string, string>()

  constructor(private readonly id: string) {}

  private name = (what: string) => `pebblestrand-form-${what}-${this.id}`

  private read<T>(what: string): T | null {
    try {
      const text = (this.id && sessionStorage.getItem(this.name(what))) || this.here.get(what)
      return text ? (JSON.parse(text) as T) : null
    } catch {
      const text = this.here.get(what)
      return text ? (JSON.parse(text) as T) : null
    }
  }

  private write(what: string, value: unknown): void {
    const text = value === null ? null : JSON.stringify(value)
    if (text === null) this.here.delete(what)
    else this.here.set(what, text)
    try {
      if (!this.id) return
      if (text === null) sessionStorage.removeItem(this.name(what))
      else sessionStorage.setItem(this.name(what), text)
    } catch {
      // refused: it is kept in the page
    }
  }

  get draft(): Record<string, unknown> | null {
    return this.read('draft')
  }
  set draft(values: Record<string, unknown> | null) {
    this.write('draft', values)
  }
  get pending(): Pending | null {
    return this.read('pending')
  }
  set pending(pending: Pending | null) {
    this.write('pending', pending)
  }
}
