import { fork, type ChildProcess } from 'node:child_process'
import { assets } from '../../platform/assets'
import { Turns } from '../../platform/turns'
import { NoPicture } from './no-picture'
import type { Copied } from './resize'

/** Ms that one picture may take; nothing that a page shows takes a second. */
const MOST_MS = 15_000

type Answer = { copied: Copied } | { noPicture: string } | { fault: string }

/**
 * Opens pictures from outside in a process of its own, one after the other. One that takes too long, or brings the process down, costs that
 * process alone: it is killed, and the next picture has a new one.
 */
export class PictureProcess {
  private readonly turns = new Turns({ each: 1 })
  private child: ChildProcess | null = null

  constructor(private readonly ms = MOST_MS) {}

  /** @throws NoPicture where the bytes are none that is shown */
  copiesOf = (bytes: Uint8Array): Promise<Copied> => this.turns.during('picture', () => this.ask(bytes))

  private ask(bytes: Uint8Array): Promise<Copied> {
    const child = this.running()
    return new Promise((resolve, reject) => {
      const settle = (act: () => void) => {
        clearTimeout(timer)
        child.off('message', answered).off('exit', ended)
        act()
      }
      const answered = (answer: Answer) =>
        settle(() => {
          if ('copied' in answer) resolve(answer.copied)
          else reject('noPicture' in answer ? new NoPicture(answer.noPicture) : new Error(answer.fault))
        })
      const ended = () =>
        settle(() => {
          this.child = null
          reject(new NoPicture('It cannot be opened.'))
        })
      const timer = setTimeout(() => {
        settle(() => {
          this.end()
          reject(new NoPicture('It takes too long to open.'))
        })
      }, this.ms)
      child.on('message', answered).on('exit', ended)
      child.send({ bytes })
    })
  }

  private running(): ChildProcess {
    if (this.child) return this.child
    const child = fork(assets.pictures, { serialization: 'advanced', execArgv: [] })
    // It keeps nobody from ending; while a picture is open, its timer does.
    child.unref()
    child.channel?.unref()
    child.on('error', () => child.kill('SIGKILL'))
    child.on('exit', () => this.child === child && (this.child = null))
    return (this.child = child)
  }

  end(): void {
    this.child?.kill('SIGKILL')
    this.child = null
  }
}

const ours = new PictureProcess()
export const copiesOf = ours.copiesOf
