/** Two transactions waited for each other, and PostgreSQL ended this one (class 40, transaction rollback). */
export const isDeadlock = (error: unknown): boolean =>
  ((error as { original?: { code?: string } } | null)?.original?.code ?? '') === '40P01'

const TRIES = 3

/**
 * Does it again when it was ended so; whatever it had written is gone then. Transactions that meet often take what they
 * hold in one order: a widget's turn, then site, page, placement and widget, then installs, then checks, each by id.
 * @source PostgreSQL 17, 13.3.4: deadlocks that cannot be ruled out are handled by trying again.
 */
export async function unlessDeadlocked<T>(work: () => T | Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await work()
    } catch (error) {
      if (!isDeadlock(error) || tries === TRIES) throw error
    }
  }
}
