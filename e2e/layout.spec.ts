import { expect, test } from '@playwright/test'
import { call, screens, signIn } from './support'

const figure = [
  'a figure',
  (planter: number) => `/planters/${planter}/walk?row=10&check=opener_blade_diameter`,
] as const

test('nothing sticks out sideways, and each page ends where what is on it ends', async ({ page }) => {
  test.setTimeout(400_000)
  await signIn(page)
  const yard = await call<{ id: number; name: string }[]>(page, 'GET', '/api/yard')
  const id = (name: string) => yard.body.find((planter) => planter.name === name)?.id ?? 0
  for (const [name, path] of [...screens, figure]) {
    await page.goto(path(id('Quill Bottom'), id('Hask Hill')))
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
    await page.waitForLoadState('networkidle')
    // A desk, a tablet turned upright, a phone: none may hold the next one wide.
    for (const width of [1280, 768, 390]) {
      await page.setViewportSize({ width, height: 800 })
      const over = () =>
        page.evaluate(() => {
          const { scrollWidth, scrollHeight, clientWidth } = document.documentElement
          const body = document.querySelector('.v-application')?.clientHeight ?? 0
          return { sideways: scrollWidth - clientWidth, below: scrollHeight - body }
        })
      await expect.poll(over, `${name} at ${width} pixels`).toEqual({ sideways: 0, below: 0 })
    }
    await page.setViewportSize({ width: 1280, height: 800 })
  }
})
