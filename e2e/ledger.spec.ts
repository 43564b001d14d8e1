import { expect, type Page } from '@playwright/test'
import { call, planterWithWalk, signIn, test } from './support'

const DAY = 24 * 60 * 60 * 1000
const day = (ago: number) => new Date(Date.now() - ago * DAY).toISOString().slice(0, 10)
let turn = 0
const uuid = () => `0199c0de-0000-7000-8000-${String(Date.now()).slice(-8)}${String(++turn).padStart(4, '0')}`

type Place = { row: number; check: string; side: string; chance: number | null; size_mm: number; use_m: number }

async function forecastOf(page: Page, planter: number, row: number, side = 'left'): Promise<Place | undefined> {
  const { body } = await call<{ places: Place[] }>(page, 'GET', `/api/planters/${planter}/forecast`)
  return body.places.find((one) => one.row === row && one.check === 'opener_blade_diameter' && one.side === side)
}

/** Sixteen rows with a season on their blades: 400 acres, and as many to come. */
async function plantedPlanter(page: Page, name: string): Promise<number> {
  const { planter, walk } = await planterWithWalk(page, name, 16)
  const edit = await call<Record<string, unknown> & { spec_sheet: { id: number } }>(
    page,
    'GET',
    `/api/planters/${planter}`,
  )
  await call(page, 'PUT', `/api/planters/${planter}`, {
    farm: 'Test Field',
    name,
    row_count: 16,
    spacing: '30 in',
    spec_sheet_id: edit.body.spec_sheet.id,
    planting_start: day(-20),
    planned_acres: 400,
    planting_days: 10,
  })
  const events = Array.from({ length: 16 }, (_, index) =>
    ['left', 'right'].map((side) => ({
      id: uuid(),
      kind: 'fitted',
      row: index + 1,
      slot: 'opener_blade',
      side,
      happened_at: `${day(400)}T10:00:00Z`,
    })),
  ).flat()
  expect((await call(page, 'POST', `/api/planters/${planter}/ledger`, { events })).status).toBe(201)
  const acres = { id: uuid(), day: day(300), field: 'Long Field', acres: 400 }
  expect((await call(page, 'POST', `/api/planters/${planter}/acres`, acres)).status).toBe(201)
  const readings = Array.from({ length: 16 }, (_, index) =>
    ['left', 'right'].map((side) => ({
      id: uuid(),
      row: index + 1,
      check: 'opener_blade_diameter',
      side,
      typed: [3, 4, 9].includes(index + 1) ? '14 9/16' : '14 13/16',
      units: 'in',
      confirmed: true,
      taken_at: new Date(Date.now() - 60_000).toISOString(),
    })),
  ).flat()
  expect((await call(page, 'POST', `/api/walks/${walk}/readings`, { readings })).status).toBe(200)
  return planter
}

test('blades of rows 3, 4 and 9 are changed in one go; forecast and board follow; a part is moved', async ({
  page,
}) => {
  await signIn(page)
  const planter = await plantedPlanter(page, 'Ledger Rows')
  await page.goto(`/planters/${planter}/board?face=life`)
  await page.getByRole('button', { name: 'Opener blades', exact: true }).click()
  await expect(
    page.getByRole('button', { name: /^Row 3, Opener blade diameter left: hardly lasts/ }).last(),
  ).toBeVisible()
  expect((await forecastOf(page, planter, 3))?.chance).toBeGreaterThan(0.5)

  await page.getByRole('button', { name: 'Change what will not last' }).click()
  await page.getByRole('button', { name: /^Opener blade diameter \d/ }).click()
  const dialog = page.getByRole('dialog', { name: 'Change parts' })
  await expect(dialog.getByLabel('Rows', { exact: true })).toHaveValue('3, 4, 9')
  await dialog.getByRole('button', { name: 'Fit 6 parts' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByRole('button', { name: /^Row 3, Opener blade diameter left: lasts/ }).last()).toBeVisible()
  const changed = await forecastOf(page, planter, 3)
  expect(changed?.size_mm).toBe(381)
  expect(changed?.chance).toBeLessThan(0.2)

  await page.getByRole('button', { name: 'Now', exact: true }).click()
  await page.getByRole('button', { name: 'Opener blades', exact: true }).click()
  await expect(page.getByRole('button', { name: /^Row 3, Opener blade diameter left.*15 in/ }).last()).toBeVisible()
  await expect(page.getByRole('button', { name: /^Row 5, Opener blade diameter left.*14 13\/16/ }).last()).toBeVisible()

  // The worn blade of row 5 and the new one of row 3 change places.
  await page.goto(`/planters/${planter}/rows/5`)
  await expect(page.getByText('Opener blade left', { exact: false }).first()).toBeVisible()
  const before = await forecastOf(page, planter, 5)
  await page.getByRole('button', { name: 'Move' }).first().click()
  const move = page.getByRole('dialog', { name: 'Move a part' })
  await move.getByRole('combobox', { name: 'To row' }).press('ArrowDown')
  await page.getByRole('option', { name: '3', exact: true }).click()
  await expect(move.getByLabel('Swap: the part on row 3 comes to row 5')).toBeChecked()
  await move.getByRole('button', { name: 'Move it' }).click()
  await expect(move).toBeHidden()
  await expect.poll(async () => (await forecastOf(page, planter, 3))?.use_m).toBeCloseTo(before?.use_m ?? 0, 0)
  expect((await forecastOf(page, planter, 5))?.use_m).toBe(0)
  await expect(page.getByText('Fitted: opener blade left', { exact: false }).first()).toBeVisible()
})

test('what was put on record wrongly is put right, and taken back', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Mended Rows', 2)
  const event = {
    id: uuid(),
    kind: 'fitted',
    row: 1,
    slot: 'opener_blade',
    side: 'left',
    happened_at: `${day(90)}T10:00:00Z`,
  }
  expect((await call(page, 'POST', `/api/planters/${planter}/ledger`, { events: [event] })).status).toBe(201)
  await page.goto(`/planters/${planter}/rows/1`)
  const dialog = page.getByRole('dialog', { name: 'Correct' })
  await page.getByRole('button', { name: 'Correct' }).click()
  await dialog.getByLabel('Size when fitted').fill('14 7/8')
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(dialog).toBeHidden()
  await expect.poll(async () => (await forecastOf(page, planter, 1))?.size_mm).toBeCloseTo(377.825, 3)

  await page.getByRole('button', { name: 'Correct' }).click()
  await dialog.getByRole('button', { name: /^Undo the entry of/ }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByRole('button', { name: 'Correct' })).toHaveCount(0)
  expect(await forecastOf(page, planter, 1)).toBeUndefined()
})

test('the wear chart opens with its limit, its band and its readings in words', async ({ page }) => {
  await signIn(page)
  const planter = await plantedPlanter(page, 'Wear Chart')
  await page.goto(`/planters/${planter}/board?face=life`)
  await page.getByRole('button', { name: 'Opener blades', exact: true }).click()
  await page
    .getByRole('button', { name: /^Row 7, Opener blade diameter left/ })
    .last()
    .click()
  const dialog = page.getByRole('dialog', { name: 'Wear' })
  await expect(dialog.locator('polyline.line')).toBeVisible()
  await expect(dialog.locator('figcaption')).toContainText('14 13/16 in')
  await expect(dialog.locator('figcaption')).toContainText('Limit 14 1/2 in')
  await expect(dialog.locator('figcaption')).toContainText('Expected at the end')
  // A reading that is pressed is said in full.
  await dialog.locator('circle').last().click()
  await expect(dialog.locator('figure strong')).toHaveText(/^[A-Z][a-z]{2} \d+, \d{4}: \d+ \d+\/\d+ in$/)
})

test('shims are moved as advised, and the contact is asked for again', async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Shim Rows', 4, null)
  const taken_at = new Date(Date.now() - 60_000).toISOString()
  const at = (check: string, side: string, typed: string) => ({
    id: uuid(),
    row: 2,
    check,
    side,
    typed,
    units: 'in',
    taken_at,
  })
  const stored = await call<{ receipts: { outcome: string }[] }>(page, 'POST', `/api/walks/${walk}/readings`, {
    readings: [
      at('blade_contact_length', 'centre', '1 1/4'),
      at('inner_shims', 'left', '3'),
      at('inner_shims', 'right', '3'),
    ],
  })
  const outcomes = stored.body.receipts.map(({ outcome }) => outcome)
  expect(outcomes, JSON.stringify(stored.body)).toEqual(Array(3).fill('stored'))
  await page.goto(`/planters/${planter}/rows/2`)
  await expect(page.getByText('Too short: take 1 out on each side.')).toBeVisible()
  await expect(page.getByRole('img', { name: /a W, seed perched/ })).toBeVisible()
  await page.getByRole('button', { name: 'Shims moved' }).click()
  await expect(page.getByText('Inner shims: 1 taken out on each side.').first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo the move' }).click()
  await expect(page.getByText('Too short: take 1 out on each side.')).toBeVisible()
  await page.getByRole('button', { name: 'Shims moved' }).click()
  await expect(page.getByText('measure contact again')).toBeVisible()
  await page.getByRole('button', { name: 'Measure again' }).last().click()
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 2 of 4' })).toBeVisible()
  await page.keyboard.type('2')
  await page.keyboard.press('Enter')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.goto(`/planters/${planter}/rows/2`)
  await expect(page.getByText('In the window: leave the shims.')).toBeVisible()
})

test('two hundred field lines are imported, three of them bad', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Import Fields', 8)
  const lines = ['Planted;Field name;Area;Crop']
  for (let field = 1; field <= 200; field++) {
    const acres = field === 60 ? '0' : `${20 + field / 10}`.replace('.', ',')
    const date = field === 120 ? 'soon' : `0${1 + (field % 9)}.05.2025`
    lines.push(`${date};${field === 180 ? '' : `Field ${field}`};${acres};popcorn`)
  }
  await page.goto(`/planters/${planter}/import`)
  await page
    .getByLabel('CSV file')
    .setInputFiles({ name: 'fields.csv', mimeType: 'text/csv', buffer: Buffer.from(`\uFEFF${lines.join('\r\n')}`) })
  await expect(page.getByText('197 good lines, 3 with problems.')).toBeVisible()
  for (const said of ['Line 61.', 'Line 121.', 'Line 181.']) await expect(page.getByText(said)).toBeVisible()
  await page.getByRole('button', { name: 'Import the 197 good lines' }).click()
  await expect(page.getByRole('heading', { name: 'Imported', exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Show them' }).click()
  await expect(page.getByText('2025, 197 lines')).toBeVisible()

  await page.goto(`/planters/${planter}/import`)
  await page
    .getByLabel('CSV file')
    .setInputFiles({ name: 'fields.csv', mimeType: 'text/csv', buffer: Buffer.from(`\uFEFF${lines.join('\r\n')}`) })
  await expect(page.getByText('This file was imported on')).toBeVisible()
  await expect(page.getByText('197 already imported')).toBeVisible()
  await expect(page.getByText('197 lines kept')).toBeVisible()
})

test('a part type is added, and the lives of two are compared', async ({ page }) => {
  await signIn(page)
  await page.goto('/part-types')
  await page.getByRole('button', { name: 'Add part type' }).click()
  const form = page.getByRole('dialog', { name: 'Part type' })
  await form.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(form.getByText('Choose at least one slot that it fits.').first()).toBeVisible()
  await form.getByRole('button', { name: 'Cancel' }).click()

  await page.getByRole('button', { name: /^Seed tube, plain/ }).click()
  await expect(page.getByText(/half reach \d+ mi/)).toBeVisible()
  await page.getByRole('combobox', { name: 'Compare with' }).press('ArrowDown')
  await page.getByRole('option', { name: 'Seed tube, hard lip' }).click()
  await expect(page.getByText('Seed tube, hard lip:', { exact: false })).toBeVisible()
  await expect(page.getByText(/lasts longer|No clear difference yet|Too few to compare/)).toBeVisible()
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('acres are logged in one line, and a bad one is answered in words', async ({ page }) => {
    await signIn(page)
    const { planter } = await planterWithWalk(page, 'Phone Acres', 8)
    await page.goto(`/planters/${planter}/field`)
    const line = page.getByLabel('What you planted')
    await line.fill('Long Field, popcorn')
    await page.getByRole('button', { name: 'Log', exact: true }).tap()
    await expect(page.getByText('Say how many acres, with the unit')).toBeVisible()
    await line.fill('62.5 ac, Long Field, popcorn, 5 mph, no-till')
    await page.getByRole('button', { name: 'Log', exact: true }).tap()
    await expect(page.getByText('Logged: 62.5 ac, Long Field, popcorn, 5 mph, no-till')).toBeVisible()
    await expect(page.getByRole('button', { name: /62.5 ac Long Field, popcorn/ })).toBeVisible()
    const wide = await page.evaluate(() => document.documentElement.scrollWidth)
    expect(wide).toBeLessThanOrEqual(390)
  })
})
