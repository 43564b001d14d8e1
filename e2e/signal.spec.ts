import { expect } from '@playwright/test'
import { call, keptOnDevice, planterWithWalk, signIn, valuesOf, signInByHand, signOutByHand, test } from './support'

test.use({ serviceWorkers: 'allow' })

// Once more by TLS through a proxy.
const proxied = { tag: '@proxied' }

const typed = 'readings typed with no signal wait on the device, through a reload, and go up when it returns'
test(typed, proxied, async ({ page }) => {
  await signInByHand(page)
  const { planter, walk } = await planterWithWalk(page, 'No Signal', 2)
  await page.goto(`/planters/${planter}/walk`)
  await expect(page.getByRole('heading', { name: /^Row 1 of 2/ })).toBeVisible()

  await page.route('**/readings', (route) => route.abort())
  await page.keyboard.type('14 3/4')
  await page.keyboard.press('Enter')
  await page.keyboard.type('14 3/8')
  await expect(page.locator('.chip')).toHaveText('Change')
  await page.keyboard.press('Enter')
  await expect(page.getByText('2 waiting')).toBeVisible()
  await expect(page.getByText('2 of 6 readings')).toBeVisible()

  await page.reload()
  await expect(page.getByText('2 waiting')).toBeVisible()
  await expect(page.getByText('2 of 6 readings')).toBeVisible()
  await page.unroute('**/readings')
  await expect(page.getByText('saved', { exact: true })).toBeVisible({ timeout: 40_000 })
  expect(await valuesOf(page, walk)).toEqual([374.65, 365.125])
})

test('a walk that is still being got when what waits goes up is there all the same', async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Slow to come', 2)
  await page.goto(`/planters/${planter}/walk`)
  await expect(page.getByRole('heading', { name: /^Row 1 of 2/ })).toBeVisible()
  let isBack = false
  await page.route('**/readings', (route) => (isBack ? route.continue() : route.abort()))
  await page.route('**/guide', async (route) => {
    await new Promise((go) => setTimeout(go, 5_000))
    await route.continue()
  })
  await page.keyboard.type('14 3/4')
  await page.keyboard.press('Enter')
  await expect(page.getByText('1 waiting')).toBeVisible()
  isBack = true
  await page.reload()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await expect(page.getByText('1 of 6 readings')).toBeVisible()
  expect(await valuesOf(page, walk)).toEqual([374.65])
})

test('a session that has ended asks to sign in again and loses nothing', proxied, async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Stale Session', 1)
  await page.goto(`/planters/${planter}/walk`)
  await expect(page.getByRole('heading', { name: /^Row 1 of 1/ })).toBeVisible()
  // What is asked for beside the walk has come: else its answer asks to sign in before anything is typed.
  await page.waitForLoadState('networkidle')

  // On the server: an answer under way could bring a cookie back that is only taken from the browser.
  expect((await call(page, 'POST', '/api/sign-out')).status).toBe(204)
  await page.keyboard.type('14 5/8')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Sign in again' })).toBeVisible()
  await expect(page.getByText('readings that wait on this device are kept')).toBeVisible()
  await page.getByLabel('Email').fill('wren@tollgate.example')
  await page.getByLabel('Password').fill('tollgate-rows')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  expect(await valuesOf(page, walk)).toEqual([371.475])
})

test('a walk that was finished meanwhile keeps the reading and asks', async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Finished Meanwhile', 1)
  await page.goto(`/planters/${planter}/walk`)
  await expect(page.getByRole('heading', { name: /^Row 1 of 1/ })).toBeVisible()
  await call(page, 'POST', `/api/walks/${walk}/finish`, { with_unchecked: true })
  await page.keyboard.type('14 5/8')
  await page.keyboard.press('Enter')
  await expect(page.getByText('This walk is finished. Reopen it to add readings.')).toBeVisible()
  await expect(page.getByText('1 to decide')).toBeVisible()

  // It waits on every screen until somebody decides; here the walk is reopened and the reading goes up after all.
  await page.goto('/')
  await expect(page.getByText('Finished Meanwhile, row 1, opener blade diameter left')).toBeVisible()
  await call(page, 'POST', `/api/walks/${walk}/reopen`)
  await page.getByRole('button', { name: 'Send again' }).click()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  expect(await valuesOf(page, walk)).toEqual([371.475])
})

test('parts and acres recorded with no signal wait on the device, through a reload, and go up when it returns', async ({
  page,
}) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Far Shed', 4)
  await page.goto(`/planters/${planter}/rows/2`)
  await expect(page.getByRole('heading', { name: 'Fitted parts' })).toBeVisible()
  await page.goto(`/planters/${planter}/field`)
  await expect(page.getByRole('heading', { name: 'Planting log' })).toBeVisible()

  await page.route('**/api/**', (route) => route.abort())
  await page.getByLabel('What you planted').fill('62.5 ac, Long Field, popcorn')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByText('Saved on this device. Syncs when there is a signal.')).toBeVisible()
  await expect(page.getByText('1 waiting')).toBeVisible()

  await page.goto(`/planters/${planter}/rows/2`)
  await page.getByRole('button', { name: 'Change parts' }).click()
  const dialog = page.getByRole('dialog', { name: 'Change parts' })
  await dialog.getByRole('button', { name: 'Fit 2 parts' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByText('row 2: opener blade left fitted')).toBeVisible()

  await page.reload()
  await expect(page.getByText('2 waiting')).toBeVisible()
  await expect(page.getByText('row 2: opener blade left fitted')).toBeVisible()
  await page.unroute('**/api/**')
  await expect(page.getByText('saved', { exact: true })).toBeVisible({ timeout: 40_000 })
  const fitted = await call<{ fitted: { row: number; slot: string }[] }>(page, 'GET', `/api/planters/${planter}/ledger`)
  expect(fitted.body.fitted.filter(({ row, slot }) => row === 2 && slot === 'opener_blade')).toHaveLength(2)
  const acres = await call<{ lines: { field: string }[] }>(page, 'GET', `/api/planters/${planter}/acres`)
  expect(acres.body.lines.map(({ field }) => field)).toEqual(['Long Field'])
})

const tablet = 'on a tablet of the shop nothing of one is left for the next, signed out without a signal too'
test(tablet, proxied, async ({ page, context }) => {
  await signInByHand(page)
  await keptOnDevice(page)
  await page
    .getByRole('link', { name: /Quill Bottom/ })
    .first()
    .click()
  await expect(page.getByRole('row', { name: /Opener blades/ }).first()).toBeVisible()
  const kept = () =>
    page.evaluate(
      () =>
        new Promise<string[]>((done) => {
          const opening = indexedDB.open('ustrel')
          opening.onsuccess = () => {
            const all = opening.result.transaction('answers').objectStore('answers').getAllKeys()
            all.onsuccess = () => done(all.result as string[])
          }
        }),
    )
  await expect.poll(async () => (await kept()).some((key) => key.includes('board'))).toBe(true)
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Your account' }).click()
  await signOutByHand(page)
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  expect(await kept()).toEqual(['signed-out'])
  await context.setOffline(false)
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  expect((await page.request.get('/api/me', { headers: { Referer: page.url() } })).status()).toBe(401)
  await signInByHand(page, 'pim@tollgate.example')
  expect((await kept()).filter((key) => key.includes('board'))).toEqual([])
})

test('what waits of one is sealed for the next on the tablet, and goes up when its owner is back', async ({ page }) => {
  await signInByHand(page)
  const { planter } = await planterWithWalk(page, 'Left Behind', 4)
  await page.goto(`/planters/${planter}/field`)
  await expect(page.getByRole('heading', { name: 'Planting log' })).toBeVisible()
  await page.route('**/api/**', (route) => route.abort())
  await page.getByLabel('What you planted').fill('62.5 ac, Hidden Field, popcorn')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByText('1 waiting')).toBeVisible()
  await page.getByRole('button', { name: 'Your account' }).click()
  await signOutByHand(page)
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  const onDevice = () =>
    page.evaluate(
      () =>
        new Promise<string>((done) => {
          const opening = indexedDB.open('ustrel')
          opening.onsuccess = () => {
            const tables = opening.result.transaction(['waiting', 'sealed'])
            const waiting = tables.objectStore('waiting').getAll()
            const sealed = tables.objectStore('sealed').getAll()
            tables.oncomplete = () => done(`${JSON.stringify(waiting.result)} and ${sealed.result.length} sealed`)
          }
        }),
    )
  await page.waitForURL('**/sign-in')
  expect(await onDevice()).toBe('[] and 1 sealed')

  await page.unroute('**/api/**')
  await signInByHand(page, 'pim@tollgate.example')
  await page.getByRole('button', { name: 'Your account' }).click()
  await expect(page.getByText('1 recorded by someone else')).toBeVisible()
  await signOutByHand(page)
  await page.waitForURL('**/sign-in')
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  await signInByHand(page)
  await expect.poll(onDevice).toBe('[] and 0 sealed')
  const acres = await call<{ lines: { field: string }[] }>(page, 'GET', `/api/planters/${planter}/acres`)
  expect(acres.body.lines.map(({ field }) => field)).toEqual(['Hidden Field'])
})
