import { expect, type Page } from '@playwright/test'
import { axe, call, screens, signIn, test } from './support'

// A board of a thousand places takes its time to be looked over.
test.setTimeout(600_000)

// In two halves, to be looked over side by side.
for (const half of [0, 1]) {
  test(`no serious violation on any screen in either theme, half ${half + 1}`, async ({ page }) => {
    if (half === 0) {
      await page.goto('/sign-in')
      await expect(page.getByLabel('Email')).toBeVisible()
      await clean(page, 'sign-in')
    }
    await signIn(page)
    const yard = await call<{ id: number; name: string }[]>(page, 'GET', '/api/yard')
    const id = (name: string) => yard.body.find((planter) => planter.name === name)?.id ?? 0
    for (const [name, path] of screens.filter((_, at) => at % 2 === half)) {
      await page.goto(path(id('Quill Bottom'), id('Hask Hill')))
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
      await page.waitForLoadState('networkidle')
      if (name === 'a walk') {
        await page.keyboard.press('c')
        await page.keyboard.press('1')
        await expect(page.locator('.words .chip')).toHaveText('Change')
        await clean(page, 'a walk, a condition')
        await page.keyboard.press('Escape')
        await page.keyboard.press('}')
        await page.keyboard.type('14 3/8')
        await expect(page.locator('.figure .chip')).toHaveText('Change')
      }
      await clean(page, name)
    }
    if (half === 1) {
      await page.goto(`/planters/${id('Quill Bottom')}/board`)
      await page.getByRole('button', { name: /^Row 3, Opener blade diameter left/ }).click()
      await expect(page.getByRole('button', { name: 'Measure again' })).toBeVisible()
      await clean(page, 'a history', '.v-overlay--active')
    }
  })
}

/** In the light theme and then in the dark one, as the device has it. What lies dimmed behind a dialog is left out. */
async function clean(page: Page, screen: string, within = 'body'): Promise<void> {
  const told: string[] = []
  for (const theme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme: theme })
    await expect(page.locator(`.v-theme--${theme}`).first()).toBeAttached()
    // Colors on their way from one to another would be measured half-way.
    await page.waitForTimeout(400)
    const look = axe(page)
      .include(within)
      .options({ resultTypes: ['violations'] })
    // What a theme changes is its colors.
    const { violations } = await (theme === 'dark' ? look.withRules('color-contrast') : look).analyze()
    const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
    told.push(
      ...serious.map(
        ({ id, nodes }) => `${screen}, ${theme}: ${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`,
      ),
    )
  }
  await page.emulateMedia({ colorScheme: 'light' })
  expect(told).toEqual([])
}
