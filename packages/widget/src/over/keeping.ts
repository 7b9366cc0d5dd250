import { readMemory, REMEMBERED_AS, rememberSeen, writeMemory, type Memory } from '@pebblestrand/core/presence/deciding'

/** What this browser remembers, kept under one name of its local storage. Where nothing may be stored it is forgotten with the page. */
export class Keeping {
  private here: Memory | null = null

  /** As it is now, whatever another tab has written meanwhile. A sign of life. */
  read(now: Date): Memory {
    const memory = rememberSeen(this.stored() ?? this.here, now)
    // A visit is written down when it begins, and not at every look.
    if (this.here?.visits !== memory.visits || memory.seen !== this.here.seen) this.write(memory)
    return memory
  }

  change(change: (memory: Memory) => Memory, now: Date): void {
    this.write(change(this.read(now)))
  }

  private stored(): Memory | null {
    try {
      return readMemory(localStorage.getItem(REMEMBERED_AS))
    } catch {
      return null
    }
  }

  private write(memory: Memory): void {
    this.here = memory
    try {
      localStorage.setItem(REMEMBERED_AS, writeMemory(memory))
    } catch {
      // refused, or full: it works, forgetting
    }
  }
}
