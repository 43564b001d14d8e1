import { expect, test } from '@playwright/test'
import { planterWithWalk, signIn } from './support'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

test('one row is walked by touch on a phone', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Pocket Four', 4)
  await page.goto(`/planters/${planter}/walk`)
  const key = (name: string) => page.locator('.pad').getByRole('button', { name, exact: true })
  const heading = page.getByRole('heading', { level: 1 })

  await expect(heading).toContainText('Row 1 of 4 · Opener blades · left')
  await key('14').tap()
  await key('3 eighths').tap()
  await expect(page.locator('.chip')).toHaveText('Change')
  await key('Next').tap()

  await expect(heading).toContainText('Row 1 of 4 · Opener blades · right')
  await key('16ths').tap()
  await key('14').tap()
  await key('11 sixteenths').tap()
  await key('Next').tap()

  await expect(heading).toContainText('Row 1 of 4 · Blade contact')
  await key('0–9').tap()
  for (const digit of ['2', 'Decimal point', '1', '2', '5']) await key(digit).tap()
  await key('Delete').tap()
  await key('Next').tap()

  await expect(heading).toContainText('Row 2 of 4')
  await expect(page.getByText('3 of 12 readings')).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Board' }).tap()
  await expect(
    page.getByRole('button', { name: 'Row 1, Opener blade diameter right: Sound, 14 11/16 in' }),
  ).toBeVisible()

  // Nothing sticks out sideways, and every key takes a gloved finger.
  await page.goto(`/planters/${planter}/walk`)
  await expect(heading).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  for (const button of await page.locator('main button, footer button').all()) {
    if (await button.isVisible()) expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(48)
  }
})
