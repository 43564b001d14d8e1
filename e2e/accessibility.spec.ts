import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { call, signIn } from './support'

const screens = [
  ['the yard', () => '/'],
  ['a board', (planter: number) => `/planters/${planter}/board`],
  ['a walk', (planter: number) => `/planters/${planter}/walk`],
  ['findings', (planter: number) => `/planters/${planter}/findings`],
  ['a row', (planter: number) => `/planters/${planter}/rows/7`],
  ['life left', (planter: number) => `/planters/${planter}/life`],
  ['acres', (planter: number) => `/planters/${planter}/acres`],
  ['an import', (planter: number) => `/planters/${planter}/import`],
  ['part types', () => '/part-types'],
  ['a part type', () => '/part-types/5'],
  ['quick entry', (planter: number) => `/planters/${planter}/quick-entry`],
  ['the whole planter', (planter: number) => `/planters/${planter}/whole-planter`],
  ['a walk to start', (_: number, other: number) => `/planters/${other}/walk`],
  ['a planter', (planter: number) => `/planters/${planter}/edit`],
  ['the spec sheets', () => '/spec-sheets'],
  ['a spec sheet', () => '/spec-sheets/1'],
] as const

for (const theme of ['light', 'dark']) {
  test(`no serious violation on any screen in the ${theme} theme`, async ({ page }) => {
    // A board of a thousand places takes its time to be looked over.
    test.setTimeout(600_000)
    await page.goto('/sign-in')
    await expect(page.getByLabel('Email')).toBeVisible()
    await clean(page, 'sign-in')

    await signIn(page)
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
        await clean(page, 'a walk, a condition')
        await page.keyboard.press('Escape')
        await page.keyboard.press('}')
        await page.keyboard.type('14 3/8')
        await expect(page.locator('.figure .chip')).toHaveText('Change')
      }
      await clean(page, name)
      if (theme === 'light') await fits(page, name)
    }
    await page.goto(`/planters/${id('Quill Bottom')}/board`)
    await page.getByRole('button', { name: /^Row 3, Opener blade diameter left/ }).click()
    await expect(page.getByRole('button', { name: 'Measure it again' })).toBeVisible()
    await clean(page, 'a history', '.v-overlay--active')
    await call(page, 'PATCH', '/api/me', { theme: 'light' })
  })
}

/** What lies dimmed behind a dialog is left out. */
async function clean(page: Parameters<typeof signIn>[0], screen: string, within = 'body'): Promise<void> {
  // Colours on their way from one to another would be measured half-way.
  await page.waitForTimeout(400)
  const { violations } = await new AxeBuilder({ page }).include(within).analyze()
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
  const told = serious.map(
    ({ id, nodes }) => `${screen}: ${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`,
  )
  expect(told).toEqual([])
}

/** Nothing sticks out sideways, and the page ends where what is on it ends: on a phone, a tablet and a desk. */
async function fits(page: Parameters<typeof signIn>[0], screen: string): Promise<void> {
  for (const width of [390, 768, 1280]) {
    await page.setViewportSize({ width, height: 800 })
    const over = () =>
      page.evaluate(() => {
        const { scrollWidth, scrollHeight, clientWidth } = document.documentElement
        return {
          sideways: scrollWidth - clientWidth,
          below: scrollHeight - (document.querySelector('.v-application')?.clientHeight ?? 0),
        }
      })
    await expect.poll(over, `${screen} at ${width} pixels`).toEqual({ sideways: 0, below: 0 })
  }
}
