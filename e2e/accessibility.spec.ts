import AxeBuilder from '@axe-core/playwright'
import { expect } from '@playwright/test'
import { call, screens, signIn, WREN, test } from './support'

// Each as somebody of their own: the theme is the person's.
for (const [theme, email] of [
  ['light', WREN.email],
  ['dark', 'idris@tollgate.example'],
] as const) {
  test(`no serious violation on any screen in the ${theme} theme`, async ({ page }) => {
    // A board of a thousand places takes its time to be looked over.
    test.setTimeout(600_000)
    await page.goto('/sign-in')
    await expect(page.getByLabel('Email')).toBeVisible()
    await clean(page, theme, 'sign-in')

    await signIn(page, email)
    await call(page, 'PATCH', '/api/me', { theme })
    const yard = await call<{ id: number; name: string }[]>(page, 'GET', '/api/yard')
    const id = (name: string) => yard.body.find((planter) => planter.name === name)?.id ?? 0
    for (const [name, path] of screens) {
      await page.goto(path(id('Quill Bottom'), id('Hask Hill')))
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
      await page.waitForLoadState('networkidle')
      if (name === 'a walk') {
        await page.keyboard.press('c')
        await page.keyboard.press('1')
        await expect(page.locator('.words .chip')).toHaveText('Change')
        await clean(page, theme, 'a walk, a condition')
        await page.keyboard.press('Escape')
        await page.keyboard.press('}')
        await page.keyboard.type('14 3/8')
        await expect(page.locator('.figure .chip')).toHaveText('Change')
      }
      await clean(page, theme, name)
    }
    await page.goto(`/planters/${id('Quill Bottom')}/board`)
    await page.getByRole('button', { name: /^Row 3, Opener blade diameter left/ }).click()
    await expect(page.getByRole('button', { name: 'Measure it again' })).toBeVisible()
    await clean(page, theme, 'a history', '.v-overlay--active')
  })
}

/** What lies dimmed behind a dialog is left out. */
async function clean(
  page: Parameters<typeof signIn>[0],
  theme: string,
  screen: string,
  within = 'body',
): Promise<void> {
  // Colours on their way from one to another would be measured half-way.
  await page.waitForTimeout(400)
  const axe = new AxeBuilder({ page }).include(within).options({ resultTypes: ['violations'] })
  // What a theme changes is its colours.
  const { violations } = await (theme === 'dark' ? axe.withRules('color-contrast') : axe).analyze()
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
  const told = serious.map(
    ({ id, nodes }) => `${screen}: ${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`,
  )
  expect(told).toEqual([])
}
