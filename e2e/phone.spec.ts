import { expect } from '@playwright/test'
import { call, planterWithWalk, signIn, test } from './support'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

test('one row is walked by touch on a phone', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Pocket Four', 4)
  await page.goto(`/planters/${planter}/walk`)
  const key = (name: string) => page.locator('.pad').getByRole('button', { name, exact: true })
  const heading = page.getByRole('heading', { level: 1 })

  await expect(heading).toContainText('Row 1 of 4 · Opener blade diameter, left')
  await key('14').tap()
  await key('3 eighths').tap()
  await expect(page.locator('.chip')).toHaveText('Change')
  await key('Next').tap()

  await expect(heading).toContainText('Row 1 of 4 · Opener blade diameter, right')
  await key('16ths').tap()
  await key('14').tap()
  await key('11 sixteenths').tap()
  await key('Next').tap()

  await expect(heading).toContainText('Row 1 of 4 · Blade contact length')
  await key('0–9').tap()
  for (const digit of ['2', 'Decimal point', '1', '2', '5']) await key(digit).tap()
  await key('Delete').tap()
  await key('Next').tap()

  await expect(heading).toContainText('Row 2 of 4')
  await expect(page.locator('.count', { hasText: '3 of 12' })).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Board' }).tap()
  await page.getByRole('button', { name: 'Opener blades', exact: true }).tap()
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

test('one station is walked across all rows by touch', async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Pocket Sixteen', 16, ['gauge_touch', 'gauge_tyre'])
  await page.goto(`/planters/${planter}/walk`)
  await page.getByRole('button', { name: 'Pack' }).tap()
  await page.getByRole('button', { name: 'Snake' }).tap()
  await page.getByRole('button', { name: 'Continue' }).tap()
  const heading = page.getByRole('heading', { level: 1 })
  const state = (name: string) => page.getByRole('button', { name, exact: true })

  // Out along the left sides: both checks of the station on each.
  for (let row = 1; row <= 16; row++) {
    await expect(heading).toContainText(`Row ${row} of 16 · Gauge wheel tire, left`)
    await state('sound').tap()
    await expect(heading).toContainText(`Row ${row} of 16 · Gauge wheel touch, left`)
    await state(row === 4 ? 'gap' : 'light touch').tap()
  }
  // Back along the right sides; the last rows in one go.
  for (const row of [16, 15]) {
    await expect(heading).toContainText(`Row ${row} of 16 · Gauge wheel tire, right`)
    await state('change').tap()
    await page.getByRole('button', { name: 'lip gone' }).tap()
    await page.getByRole('button', { name: 'Save, next' }).tap()
    await expect(heading).toContainText(`Row ${row} of 16 · Gauge wheel touch, right`)
    await state('light touch').tap()
  }
  await page.getByRole('button', { name: 'This station sound on all remaining rows (28)' }).tap()
  await expect(page.locator('.count')).toContainText('64 of 64')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  await page.getByRole('link', { name: 'Decide' }).tap()
  await expect(page.getByText('3 left.')).toBeVisible()
  await expect(page.getByText('Gap: adjust by the arm shims')).toBeVisible()
  const { body } = await call<{ cells: { now: { result: string } | null }[] }>(page, 'GET', `/api/walks/${walk}/news`)
  expect(body.cells.filter((cell) => cell.now?.result === 'looked_sound')).toHaveLength(28)
})
