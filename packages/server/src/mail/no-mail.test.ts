import { expect, it } from 'vitest'
import { Person, startTestSystem } from '../testing/system'

it('nothing is sent where there is no mail server, and the agency is told', async () => {
  const system = await startTestSystem({ NO_DEMO: '1' })
  try {
    expect(system.context.config.mail).toBeNull()
    const ada = await new Person(system.app).join()
    expect((await ada.get('/api/agency/mail')).body).toMatchObject({ sends: false })
  } finally {
    await system.stop()
  }
})
