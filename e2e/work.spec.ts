import { readFileSync } from 'node:fs'
import { expect, type Locator, type Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, planterWithWalk, signIn, test } from './support'

type Found = { row: number; check: string; side: string; proposal: { action: string } }
const at = () => new Date(Date.now() - 60_000).toISOString()

/** Some findings on four rows, decided as they are proposed. */
async function decided(page: Page, name: string): Promise<{ planter: number; walk: string }> {
  const made = await planterWithWalk(page, name, 4, null)
  const state = (row: number, check: string, said: string, chips: string[]) => ({
    id: uuid(),
    row,
    check,
    side: check === 'gauge_touch' ? 'left' : 'centre',
    state: said,
    chips,
    taken_at: at(),
  })
  const readings = [
    state(2, 'seed_tube', 'change', ['curled_lip']),
    state(3, 'gauge_touch', 'gap', []),
    state(4, 'seed_sensor', 'watch', ['dirty']),
  ]
  expect((await call(page, 'POST', `/api/walks/${made.walk}/readings`, { readings })).status).toBe(200)
  const { found } = (await call<{ found: Found[] }>(page, 'GET', `/api/planters/${made.planter}/decide`)).body
  const decisions = found.map(({ row, check, side, proposal }) => ({
    id: uuid(),
    row,
    check,
    side,
    action: proposal.action,
    happened_at: new Date().toISOString(),
  }))
  expect((await call(page, 'POST', `/api/walks/${made.walk}/decisions`, { decisions })).status).toBe(200)
  return made
}

/** All days of the list. */
async function unfold(days: Locator): Promise<void> {
  await expect(days).toBeVisible()
  const closed = days.locator('details:not([open]) > summary')
  while ((await closed.count()) > 0) await closed.first().click()
}

test('what was decided is planned, done from its card, and leaves the plan', async ({ page }) => {
  await signIn(page)
  const { planter } = await decided(page, 'Work by cards')
  await page.goto(`/planters/${planter}/work`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Ready on')
  const days = page.getByRole('region', { name: 'Day by day' })
  await expect(days).toContainText('Make the planter safe')
  await expect(days).toContainText('Lock cylinders and frame')

  // It goes along on paper and into a calendar.
  for (const [link, begins] of [
    ['Sign-off sheet', '%PDF-'],
    ['Cards to print', '%PDF-'],
    ['Into a calendar', 'BEGIN:VCALENDAR'],
    ['As a table', 'day,begins,ends,person'],
  ] as const) {
    const downloading = page.waitForEvent('download')
    await page.getByRole('link', { name: link }).click()
    expect(readFileSync(await (await downloading).path(), 'latin1').startsWith(begins), link).toBe(true)
  }

  // What would change it is said at once.
  await page.getByRole('button', { name: 'One more person?' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'With one more person' })).toContainText('ready')

  // A card says what to mind and how far to turn; what is read there is done.
  await unfold(days)
  await days.getByRole('button', { name: 'Card: Row 3, adjust: gauge wheel touch' }).click()
  const card = page.getByRole('dialog', { name: 'Card' })
  await expect(card).toContainText('one shim')
  await expect(card).toContainText('operator')
  await card.getByRole('link', { name: 'Look again' }).click()
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 3 of 4' })).toBeVisible()

  // A part that goes in leaves the plan, and the ledger has it.
  await page.goto(`/planters/${planter}/work`)
  const undated = page.getByRole('region', { name: 'Cannot be dated' })
  await expect(undated).toContainText('no part chosen for seed tube')
  await undated.getByRole('button', { name: 'Card: Row 2, seed tube' }).click()
  await card.getByRole('button', { name: 'It is in' }).click()
  await page.getByRole('dialog', { name: 'Change parts' }).getByRole('button', { name: 'Fit 1 part' }).click()
  await expect(page.getByRole('dialog', { name: 'Change parts' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(undated).toHaveCount(0)
  const { fitted } = (
    await call<{ fitted: { row: number; slot: string }[] }>(page, 'GET', `/api/planters/${planter}/ledger`)
  ).body
  expect(fitted.some(({ row, slot }) => row === 2 && slot === 'seed_tube')).toBe(true)
})

test('the rain list goes by the hours and people that there are', async ({ page }) => {
  await signIn(page)
  const { planter } = await decided(page, 'Work in the rain')
  await page.goto(`/planters/${planter}/work`)
  const rain = page.getByRole('region', { name: 'Rain list' })
  await expect(rain).toContainText('min go into making the planter safe')
  await rain.getByRole('button', { name: '1 person', exact: true }).click()
  await expect(rain).toContainText('To do')
  const season = page.getByRole('region', { name: 'In the season' })
  await expect(season).toContainText('Carry into the season')
})
