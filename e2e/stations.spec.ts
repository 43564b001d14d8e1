import { expect } from '@playwright/test'
import { FIGURES, call, planterWithWalk, signIn, valuesOf, test } from './support'

type Check = { key: string; kind: string; unit: string | null; sides: string[]; whole_planter: boolean }
type Guide = { checks: Check[]; ribbon: { row: number; checked: number; verdict: string }[] }

const KEYS: Record<string, string> = { condition: 's', touch: 'l', yes_no: 'y' }

test('two rows of a sixteen-row planter are walked over all stations by keyboard', async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'All Stations', 16, null)
  const { body: guide } = await call<Guide>(page, 'GET', `/api/walks/${walk}`)
  const checks = guide.checks.filter((check) => !check.whole_planter)
  const perRow = checks.reduce((sum, check) => sum + check.sides.length, 0)
  expect(perRow).toBeGreaterThan(50)
  await page.goto(`/planters/${planter}/walk`)
  const done = page.locator('.count strong')

  let readings = 0
  for (const row of [1, 2]) {
    await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: `Row ${row} of 16` })).toBeVisible()
    for (const check of checks) {
      for (let side = 0; side < check.sides.length; side++) {
        if (check.unit === null) await page.keyboard.press(KEYS[check.kind] as string)
        else {
          await page.keyboard.type(FIGURES[check.key] ?? '3')
          await page.keyboard.press('Enter')
        }
        await expect(done).toHaveText(String(++readings))
      }
    }
  }
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 3 of 16' })).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  const after = await call<Guide>(page, 'GET', `/api/walks/${walk}`)
  expect(after.body.ribbon.slice(0, 3).map((row) => [row.checked, row.verdict])).toEqual([
    [perRow, 'sound'],
    [perRow, 'sound'],
    [0, 'unchecked'],
  ])
})

test('a sixteen-row walk of three measures takes no more keys than a spreadsheet', async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Key Counter', 16)
  await page.goto(`/planters/${planter}/walk`)
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 1 of 16' })).toBeVisible()
  await page.evaluate(() => {
    const counted = window as unknown as { keys: number }
    counted.keys = 0
    window.addEventListener('keydown', () => counted.keys++, { capture: true })
  })
  let spreadsheet = 0
  for (let row = 0; row < 16; row++) {
    for (const figure of [`14 ${5 + (row % 3)}/8`, '14 3/4', row % 2 ? '1 7/8' : '2']) {
      await page.keyboard.type(figure)
      await page.keyboard.press('Enter')
      spreadsheet += figure.length + 1
    }
  }
  await expect(page.locator('.count')).toContainText('48 of 48')
  expect(await page.evaluate(() => (window as unknown as { keys: number }).keys)).toBeLessThanOrEqual(spreadsheet)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  expect(await valuesOf(page, walk)).toHaveLength(48)
})

test('a filled sheet is pasted and typed: the good cells are offered, the bad marked, nothing stored before', async ({
  page,
}) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Paper Sheet', 16)
  await page.goto(`/planters/${planter}/walk/sheet`)
  const cell = (row: number, side: string) =>
    page.getByLabel(`Row ${row}, Opener blade diameter ${side}`, { exact: true })
  const paste = (lines: string[]) =>
    page.evaluate((text) => {
      const data = new DataTransfer()
      data.setData('text/plain', text)
      document.activeElement?.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      )
    }, lines.join('\n'))

  // Sixteen values, one of them smudged, one larger than new.
  const column = Array.from({ length: 16 }, (_, row) => (row === 4 ? '14 3/' : row === 9 ? '41' : '14 3/4'))
  await cell(1, 'left').focus()
  await paste(column)
  await expect(page.getByText('16 cells pasted. Nothing is saved yet.')).toBeVisible()
  await expect(page.getByRole('alert').filter({ hasText: 'Row 5, Opener blade diameter left' })).toContainText(
    'the fraction needs its bottom number',
  )
  await expect(page.getByText('Is this right?')).toBeVisible()
  expect(await valuesOf(page, walk)).toEqual([])
  await page.getByRole('button', { name: 'Save 14 readings' }).click()
  await expect(page.getByText('14 readings stored.')).toBeVisible()
  await expect(cell(5, 'left')).toHaveValue('14 3/')
  await cell(5, 'left').fill('14 3/8')
  await cell(10, 'left').fill('14 1/2')
  await page.getByRole('button', { name: 'Save 2 readings' }).click()

  // More lines than rows: what is left out is said.
  await cell(13, 'right').focus()
  await paste(['14 3/4', '14 3/4', '14 3/4', '14 3/4', '14 3/4', '14 3/4'])
  await expect(page.getByText('only 4 rows from row 13 on: 2 left out')).toBeVisible()

  // Typed: Enter goes along the row, arrows go anywhere.
  await cell(1, 'right').focus()
  await page.keyboard.type('14 5/8')
  await page.keyboard.press('Enter')
  await expect(cell(2, 'right')).toBeFocused()
  await page.keyboard.press('ArrowUp')
  await expect(cell(2, 'left')).toBeFocused()
  await page.getByRole('button', { name: 'Save 5 readings' }).click()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await expect.poll(async () => (await valuesOf(page, walk)).length).toBe(21)
})

test("two technicians on one planter see each other's readings within seconds", async ({ page, elsewhere }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Two Hands', 2)
  const other = await elsewhere()
  await signIn(other, 'idris@tollgate.example')
  await page.goto(`/planters/${planter}/walk`)
  await other.goto(`/planters/${planter}/walk?row=2`)
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 1 of 2' })).toBeVisible()
  await expect(other.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 2 of 2' })).toBeVisible()
  await page.keyboard.type('14 3/8')
  await page.keyboard.press('Enter')
  await other.keyboard.type('14 3/4')
  await other.keyboard.press('Enter')
  for (const screen of [page, other]) await expect(screen.locator('.count strong')).toHaveText('2', { timeout: 12_000 })
  await expect(other.getByRole('button', { name: /^Row 1: Change/ })).toBeVisible()
  expect(await valuesOf(page, walk)).toEqual([365.125, 374.65])
})

test('a hard joint and a photo stay with the row; depth stops are held against each other', async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'On Record', 4, null)
  await page.goto(`/planters/${planter}/walk?row=2&check=gauge_bearing&side=left`)
  await expect(
    page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 2 of 4 · Gauge wheel bearing, left' }),
  ).toBeVisible()
  await page.keyboard.press('m')
  await page.getByRole('textbox', { name: 'Note' }).fill('Bolt seized, heat for 40 minutes')
  await page.getByLabel('Seized or hard to open').check()
  await page.getByLabel('Photo', { exact: true }).setInputFiles('public/icon-512.png')
  await expect(page.getByAltText('The photo')).toBeVisible()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Bolt seized, heat for 40 minutes')).toBeVisible()
  await expect(page.getByAltText('Photo taken here')).toBeVisible()
  await page.goto(`/planters/${planter}/rows/2`)
  await expect(page.getByText('Bolt seized, heat for 40 minutes')).toBeVisible()

  const notch = (row: number, typed: string) => ({
    id: crypto.randomUUID(),
    row,
    check: 'depth_stop_notch',
    side: 'centre',
    typed,
    taken_at: new Date().toISOString(),
  })
  const readings = [notch(1, '5'), notch(2, '8'), notch(3, '5'), notch(4, '6')]
  await call(page, 'POST', `/api/walks/${walk}/readings`, { readings })
  await page.goto(`/planters/${planter}/board?open=whole-planter`)
  await expect(page.getByText('2½ notches higher')).toBeVisible()
  await page.getByRole('button', { name: 'Re-index the stops' }).click()
  await expect(page.getByText('scale down 2½ notches')).toBeVisible()
  await expect(page.getByText('Depth differs by 3 notches now, by 1 notch after it.')).toBeVisible()
  await page.getByRole('button', { name: 'Carry it in the handle' }).click()

  await page.getByLabel('Height at the front').fill('20')
  await page.getByLabel('Height at the rear').fill('20 1/2')
  await page.getByLabel('Between the two points').fill('48')
  await page.getByLabel('From hitch point').fill('160')
  await page.getByRole('button', { name: 'Calculate' }).click()
  await expect(page.getByText('0.6° nose-down')).toBeVisible()
  await expect(page.getByText('Raise the hitch. By about 3')).toBeVisible()
  await page.getByRole('button', { name: 'Save to the walk' }).click()
  await expect(page.getByText('Recorded.')).toBeVisible()
})
