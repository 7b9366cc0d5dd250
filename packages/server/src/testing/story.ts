import { describe, it } from 'vitest'

type Step = (name: string, does: () => unknown) => void

/**
 * Steps that go on from one another, told in their order: to vitest they are one test, which no other depends on. The step that
 * fails is named.
 * @param tell gets what takes the place of `it`
 * @param ms that all of them may take
 */
export function story(name: string, tell: (step: Step) => void, ms = 90_000): void {
  describe(name, () => {
    const steps: Parameters<Step>[] = []
    tell((...step) => steps.push(step))
    it(
      'goes step by step',
      async () => {
        for (const [step, does] of steps)
          try {
            await does()
          } catch (error) {
            if (error instanceof Error) error.message = `${step}: ${error.message}`
            throw error
          }
      },
      ms,
    )
  })
}
