import { readFileSync } from 'node:fs'
import { expect, type Page, test } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, planterWithWalk, signIn, walkByStation } from './support'

type Found = { row: number; check: string; side: string; proposal: { action: string } }

const to = (name: string) => ({ path: `docs/screenshots/${name}.png` })

async function settle(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle')
  // Quiet is not enough: something has to stand there.
  await expect(page.locator('main').getByRole('heading').first()).toBeVisible()
  await page.waitForTimeout(500)
}

async function openWalk(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Continue the walk' }).click()
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 10 of 16' })).toBeVisible()
}

/** A plate planter as its starting point has it. */
async function plateUnit(page: Page) {
  const starts = JSON.parse(readFileSync('core/units/starts.json', 'utf8')) as {
    key: string
    spacing: string
    equipment: object
  }[]
  const sheets = await call<{ id: number; type: string }[]>(page, 'GET', '/api/spec-sheets')
  const { spacing, equipment } = starts.find(({ key }) => key === 'plate') as (typeof starts)[number]
  return { spacing, equipment, spec_sheet_id: sheets.body.find(({ type }) => type === 'plate')?.id }
}

/** The walk at one place of row 10 of the demo. */
async function walkAt(page: Page, check: string): Promise<void> {
  const planter = /planters\/(\d+)/.exec(page.url())?.[1] ?? ''
  await page.goto(`/planters/${planter}/walk?row=10&check=${check}`)
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 10 of 16' })).toBeVisible()
}

test('wide', async ({ page }) => {
  await signIn(page)
  await settle(page)
  await page.screenshot(to('yard'))
  await openWalk(page)
  await walkByStation(page)
  await walkAt(page, 'opener_blade_diameter')
  await page.keyboard.type('14 3/4')
  await page.keyboard.press('Enter')
  await page.keyboard.type('14 9/16')
  await page.keyboard.press('g')
  await page.keyboard.press('1')
  await settle(page)
  await page.screenshot(to('walk-station'))
  await page.getByRole('button', { name: 'Undo' }).click()
  for (const [tab, name] of [
    ['Season', 'season'],
    ['Decide', 'decide'],
    ['Board', 'board'],
  ] as const) {
    await page.getByRole('link', { name: tab, exact: true }).click()
    if (tab === 'Decide') await expect(page.getByText('would be cheapest').first()).toBeVisible()
    await settle(page)
    await page.screenshot(to(name))
  }
  await page.goto('/planters/1/rows/7')
  await expect(page.getByText('How it works')).toBeVisible()
  await settle(page)
  await page.screenshot(to('row'))
})

test('parts', async ({ page }) => {
  await signIn(page)
  await page.goto('/store')
  await settle(page)
  await page.screenshot(to('parts'))
  await page.goto('/seed')
  await settle(page)
  await page.screenshot(to('seed'))
})

test('ledger', async ({ page }) => {
  await signIn(page)
  await openWalk(page)
  await page.getByRole('link', { name: 'Board', exact: true }).click()
  await page.getByRole('button', { name: 'Life left', exact: true }).click()
  await settle(page)
  await page.screenshot(to('life'))
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await page.getByRole('button', { name: 'Row 3: another run' }).click()
  await expect(page.getByRole('region', { name: 'Air for row 3' })).toBeVisible()
  await settle(page)
  await page.screenshot(to('bench'))
})

test.describe('phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('phone', async ({ page }) => {
    await signIn(page)
    await settle(page)
    await page.screenshot(to('today-phone'))
    await walkByStation(page)
    const { spec_sheet_id, spacing, equipment } = await plateUnit(page)
    const more = { farm: 'Tollgate', spec_sheet_id, spacing, equipment }
    const { planter } = await planterWithWalk(page, 'Plate Four', 4, null, more)
    await page.goto(`/planters/${planter}/walk?row=1&check=runner_width`)
    await settle(page)
    await page.screenshot(to('walk-phone'))
    await page.goto('/planters/1/first-pass')
    await page.getByRole('textbox', { name: 'Depth wanted' }).fill('2')
    await page.getByRole('textbox', { name: 'Spacing set' }).fill('7 1/2')
    await page.getByRole('textbox', { name: 'Depths' }).fill('1 7/8, 2, 1 15/16, 2, 2 1/16')
    await page.getByRole('button', { name: 'Add: Depths' }).tap()
    await page.getByRole('button', { name: 'Row 2, its record' }).scrollIntoViewIfNeeded()
    await settle(page)
    await page.screenshot(to('first-pass-phone'))
  })
})

test('unit', async ({ page }) => {
  await signIn(page)
  await page.goto('/planters/new')
  await page.getByRole('button', { name: /^Plate planter/ }).click()
  await page.getByRole('heading', { name: 'Opener' }).scrollIntoViewIfNeeded()
  await page.evaluate(() => document.querySelector('fieldset.unit')?.scrollIntoView())
  await page.evaluate(() => window.scrollBy(0, -64))
  await settle(page)
  await page.screenshot(to('unit'))
})

test('field', async ({ page }) => {
  await signIn(page)
  await page.goto('/planters/1/settings')
  await page.getByLabel('Field', { exact: true }).fill('Kiln Piece')
  await settle(page)
  await page.screenshot(to('settings'))
  await page.goto('/planters/1/row-watch')
  await page.getByRole('button', { name: 'What is wrong with Row 7?' }).click()
  await page.getByRole('heading', { name: 'Test strip' }).scrollIntoViewIfNeeded()
  await settle(page)
  await page.screenshot(to('row-watch'))
})

/** All that is proposed, decided so; last of all, for the other pictures show it open. */
async function decideAll(page: Page, planter: number): Promise<void> {
  const { body } = await call<{ walk: string; found: Found[] }>(page, 'GET', `/api/planters/${planter}/decide`)
  const decisions = body.found.map(({ row, check, side, proposal: { action } }) => ({
    id: uuid(),
    row,
    check,
    side,
    action,
    happened_at: new Date().toISOString(),
  }))
  await call(page, 'POST', `/api/walks/${body.walk}/decisions`, { decisions })
}

test('work', async ({ page }) => {
  await signIn(page)
  await decideAll(page, 1)
  await page.goto('/planters/1/work')
  await page.getByRole('button', { name: 'Save plan' }).click()
  await settle(page)
  await page.screenshot(to('work'))
  await page.setViewportSize({ width: 390, height: 844 })
  // Which day it falls on hangs on the hour.
  const closed = page.locator('details:not([open]) > summary')
  while ((await closed.count()) > 0) await closed.first().click()
  await page.getByRole('button', { name: /^Card: Row 3, 2 × opener blade/ }).click()
  for (const line of ['Planter locked', 'Gauge wheel left', 'Scraper left'])
    await page.getByRole('button', { name: `Tick: ${line}` }).click()
  await settle(page)
  await page.screenshot(to('card-phone'))
})

test('a run on the stand, live', async ({ page }) => {
  await signIn(page)
  await page.goto('/planters/1/bench')
  await page.getByRole('button', { name: 'Row 3: another run' }).click()
  const form = page.getByRole('form', { name: 'A run' })
  await form.getByRole('button', { name: 'Practice' }).click()
  await form.getByLabel('Cells').fill('30')
  await form.getByLabel('Turns').fill('60')
  await form.getByLabel('Air, in H₂O').fill('6')
  await form.getByLabel('One cell is plugged').check()
  await form.getByRole('button', { name: 'Start the run' }).click()
  await expect(page.getByRole('region', { name: 'Run on the stand' })).toContainText('Skips')
  await page.waitForTimeout(7000)
  await page.screenshot(to('bench-live'))
})
