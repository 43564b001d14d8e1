import { expect, type Page } from '@playwright/test'
import { keptOnDevice, test, WREN } from './support'

/** A quarter of this machine's pace, and a line of 1.6 Mb/s that takes 150 ms. */
const CPU = 4
const LINE = { offline: false, latency: 150, downloadThroughput: 1_600_000 / 8, uploadThroughput: 750_000 / 8 }
const ROUNDS = 5

/** How many times as long as an empty page each may take; in seconds 2.5, 1.8, 1.5, 1.8 and 1 where that takes 0.45. */
const BUDGETS = { 'sign-in': 5.6, walk: 4, board: 3.3, work: 4, 'walk again, from the device': 2.2 } as const
/** Milliseconds from a tap in the planter form until unit and checks are drawn anew. */
const REDRAWN = 100
type Screen = keyof typeof BUDGETS | 'empty page'

async function slowDown(page: Page): Promise<void> {
  const session = await page.context().newCDPSession(page)
  await session.send('Network.enable')
  await session.send('Network.emulateNetworkConditions', LINE)
  await session.send('Emulation.setCPUThrottlingRate', { rate: CPU })
}

/** Seconds from the address to what a person came for, by the page's own clock. */
async function timed(page: Page, path: string, there: string): Promise<number> {
  await page.goto(path, { waitUntil: 'commit' })
  const now = await page.waitForFunction((there) => document.querySelector(there) && performance.now(), there)
  return ((await now.jsonValue()) as number) / 1000
}

/** Milliseconds from a tap to the picture after it, by the page's own clock. */
const redrawn = (page: Page, label: string): Promise<number> =>
  page.getByLabel(label, { exact: true }).evaluate(
    (box: HTMLInputElement) =>
      new Promise((taken) => {
        const since = performance.now()
        const seen = new MutationObserver(() => {
          seen.disconnect()
          requestAnimationFrame(() => taken(performance.now() - since))
        })
        seen.observe(document.querySelector('svg.drawing') as Element, { childList: true, subtree: true })
        box.click()
      }),
  )

const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN

test('the first screens on a slow phone', async ({ browser }) => {
  test.setTimeout(900_000)
  const took = new Map<Screen, number[]>()
  const taps: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const page = await (await browser.newContext()).newPage()
    const time = async (screen: Screen, path: string, there: string) =>
      took.set(screen, [...(took.get(screen) ?? []), await timed(page, path, there)])
    await slowDown(page)
    await time('empty page', '/icon.svg', 'svg')
    await time('sign-in', '/sign-in', 'input[type=password]')
    await page.getByLabel('Email').fill(WREN.email)
    await page.getByLabel('Password').fill(WREN.password)
    await page.getByRole('button', { name: 'Sign in' }).click()
    const planter = page.getByRole('link', { name: 'Quill Bottom' })
    const address = (await planter.getAttribute('href'))?.replace(/board.*/, '')
    await time('walk', `${address}walk`, '.desk')
    await time('board', `${address}board`, 'table')
    await time('work', `${address}work`, '.work h1')
    await keptOnDevice(page)
    await time('walk again, from the device', `${address}walk`, '.desk')
    await page.goto(`${address}edit`)
    await page.locator('svg.drawing').waitFor()
    for (let tap = 0; tap < 4; tap++) taps.push(await redrawn(page, 'Coulters'))
    await page.context().close()
  }
  const redraw = median(taps)
  const held = redraw <= REDRAWN ? 'held' : 'OVER'
  console.log(
    `${'On a slow phone: the planter form redrawn after a tap'.padEnd(66)} ${redraw.toFixed(0)} ms, budget ${REDRAWN} ms: ${held}`,
  )
  expect.soft(redraw, 'planter form').toBeLessThanOrEqual(REDRAWN)
  const empty = median(took.get('empty page') ?? [])
  for (const [screen, budget] of Object.entries(BUDGETS) as [Screen, number][]) {
    const seconds = median(took.get(screen) ?? [])
    const ratio = seconds / empty
    const said = `On a slow phone: ${screen} (${seconds.toFixed(2)} s), to an empty page`.padEnd(66)
    console.log(`${said} ${ratio.toFixed(2)} x, budget ${budget} x: ${ratio <= budget ? 'held' : 'OVER'}`)
    expect.soft(ratio, screen).toBeLessThanOrEqual(budget)
  }
})
