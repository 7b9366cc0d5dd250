import { expect, settings, test } from './pages/signed-in'

const wanted = 'nine voices in a net loft'

test('one’s account: where one is signed in, what happened, another password', async ({ signedIn: _mara, browser }) => {
  // It is the first to sign in, several times, while the demo's pages are still being looked at.
  const at = async (password: string) => {
    const page = await (await browser.newContext({ baseURL: `http://localhost:${settings.port}` })).newPage()
    await page.goto('/sign-in')
    await page.getByLabel('E-mail address').fill('jory@tern-and-tiller.example')
    await page.getByLabel('Password').fill(password)
    await page.getByRole('button', { name: 'Sign in' }).click()
    return page
  }
  const wrong = await at('not-the-password')
  await expect(wrong.getByText('do not belong together')).toBeVisible()
  const other = await at('high-tide-24')
  await expect(other).toHaveURL(/\/today$/)
  const page = await at('high-tide-24')
  await expect(page).toHaveURL(/\/today$/)

  await page.getByRole('button', { name: /account and theme/ }).click()
  await page.getByRole('menuitem', { name: 'Your account' }).click()
  await expect(page.getByRole('heading', { name: 'Your account', exact: true })).toBeVisible()
  const sessions = page.getByRole('region', { name: 'Where you are signed in' })
  await expect(sessions.getByText('This browser')).toHaveCount(1)
  await expect(sessions.getByRole('listitem')).toHaveCount(2)
  await expect(page.getByText('a sign-in failed')).toBeVisible()

  const change = page.getByRole('button', { name: 'Change the password' })
  await page.getByLabel('Your password now').fill('high-tide-24')
  await page.getByLabel('The new one').fill('password1234')
  await change.click()
  await expect(page.getByText('is easily guessed')).toBeVisible()
  await page.getByLabel('The new one').fill(wanted)
  await change.click()
  await expect(page.getByText(/Your password is changed\. 1 other session/)).toBeVisible()
  await expect(sessions.getByRole('listitem')).toHaveCount(1)
  await other.reload()
  await expect(other).toHaveURL(/sign-in/)
  const again = await at(wanted)
  await expect(again).toHaveURL(/\/today$/)
  await page.reload()
  await page.getByRole('button', { name: 'Sign out everywhere else' }).click()
  await expect(page.getByText('1 other session ended.')).toBeVisible()
  await again.reload()
  await expect(again).toHaveURL(/sign-in/)
  for (const one of [wrong, other, page, again]) await one.context().close()
})
