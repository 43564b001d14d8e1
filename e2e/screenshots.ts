import { expect, type Page, test } from '@playwright/test'
import { signIn } from './support'

const to = (name: string) => ({ path: `docs/screenshots/${name}.png` })

async function settle(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(500)
}

async function openWalk(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Carry on walking' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Row 10 of 16')
}

test('wide', async ({ page }) => {
  await signIn(page)
  await settle(page)
  await page.screenshot(to('yard'))
  await openWalk(page)
  await page.keyboard.type('14 3/8')
  await settle(page)
  await page.screenshot(to('walk'))
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'Board' }).click()
  await settle(page)
  await page.screenshot(to('board'))
})

test.describe('phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('phone', async ({ page }) => {
    await signIn(page)
    await openWalk(page)
    const pad = page.locator('.pad')
    await pad.getByRole('button', { name: '14', exact: true }).tap()
    await pad.getByRole('button', { name: '3 eighths' }).tap()
    await settle(page)
    await page.screenshot(to('walk-phone'))
  })
})
