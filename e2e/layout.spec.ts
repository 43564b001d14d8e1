import { expect } from '@playwright/test'
import { call, screens, signIn, walkByStation, test } from './support'

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

test('board, walk and decide stand on one screen with what is to be pressed next; the board of sixteen rows whole', async ({
  page,
}) => {
  await signIn(page)
  const yard = await call<{ id: number; name: string }[]>(page, 'GET', '/api/yard')
  const quill = yard.body.find(({ name }) => name === 'Quill Bottom')?.id ?? 0
  const hask = yard.body.find(({ name }) => name === 'Hask Hill')?.id ?? 0
  await walkByStation(page)
  const faces = [
    [`/planters/${quill}/board`, page.getByRole('link', { name: /^Continue at row/ })],
    [`/planters/${quill}/board?face=life`, page.getByRole('link', { name: /^Continue at row/ })],
    [`/planters/${quill}/walk`, page.getByRole('button', { name: /is sound: on to/ })],
    [`/planters/${quill}/walk/sheet`, page.getByRole('button', { name: /^Save 0/ })],
    [`/planters/${quill}/decide`, page.getByRole('link', { name: 'Print the findings' })],
    [`/planters/${hask}/walk`, page.getByRole('button', { name: 'Start the walk' })],
  ] as const
  for (const { width, height } of [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize({ width, height })
    for (const [path, button] of faces) {
      await page.goto(path)
      await expect(button, `${path} at ${width}`).toBeInViewport({ ratio: 1 })
      const over = () => page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)
      await expect.poll(over, `${path} at ${width}`).toBe(0)
    }
  }
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto(`/planters/${quill}/board`)
  await expect(page.getByRole('button', { name: 'Whole planter' })).toBeInViewport({ ratio: 1 })
  const cut = () =>
    page.locator('.matrix').evaluate((box) => [box.scrollHeight - box.clientHeight, box.scrollWidth - box.clientWidth])
  expect(await cut()).toEqual([0, 0])
})
