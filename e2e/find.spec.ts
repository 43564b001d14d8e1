import { expect } from '@playwright/test'
import { call, expectFaultless, planterWithWalk, signIn, test } from './support'

test('anything is found by a few letters and the keyboard alone, and help is a key away', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Needle Field', 4)
  await page.goto(`/planters/${planter}/board`)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('Control+k')
  const find = page.getByRole('combobox', { name: 'Find' })
  await expect(find).toBeFocused()
  await page.keyboard.type('row 3')
  await expect(page.getByRole('option').first()).toContainText('Row 3')
  await expect(page.getByRole('option', { selected: true })).toContainText('Needle Field')
  await expectFaultless(page)
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(`/planters/${planter}/rows/3`)

  // A lot is marked in its list, and the address forgets the question.
  await page.keyboard.press('Control+k')
  await page.keyboard.type('popcorn lot 7')
  await expect(page.getByRole('option', { selected: true })).toContainText('Popcorn, lot 7')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL('/seed')
  await expect(page.locator('.marked')).toContainText('Popcorn, lot 7')

  await page.getByRole('link', { name: 'Help for this screen' }).click()
  await expect(page).toHaveURL('/help/bench#seed-and-discs')
  await expect(page.getByRole('heading', { name: 'Seed and discs' })).toBeInViewport()
  await expectFaultless(page)
  await page.keyboard.press('Control+k')
  await page.keyboard.type('measuring error')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL('/help/odds#measuring-error')
  await page.keyboard.press('Control+k')
  await page.keyboard.press('Escape')
  await expect(find).toHaveCount(0)
})

test.describe('without a signal', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a name that the device was told is found on the phone, and the guide opens', async ({ page }) => {
    await signIn(page)
    const { planter } = await planterWithWalk(page, 'Far Needle', 4)
    await page.goto(`/planters/${planter}/board`)
    // The list of names comes by itself after a while.
    await page.waitForResponse((response) => response.url().endsWith('/api/find'))
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    expect((await call<unknown[]>(page, 'GET', '/api/find')).status).toBe(200)
    await page.route('**/api/**', (route) => route.abort())
    await page.getByRole('button', { name: 'Find' }).tap()
    await page.getByRole('combobox', { name: 'Find' }).fill('far needle')
    await expect(page.getByRole('option').first()).toContainText('Far Needle')
    await page.getByRole('combobox', { name: 'Find' }).fill('board far needle')
    await page.getByRole('option').first().tap()
    await expect(page).toHaveURL(`/planters/${planter}/board`)
    await page.getByRole('button', { name: 'Your account' }).tap()
    await page.getByRole('link', { name: 'Help', exact: true }).tap()
    await expect(page).toHaveURL('/help/board')
    await expect(page.getByRole('heading', { name: 'Verdicts' })).toBeVisible()
  })
})
