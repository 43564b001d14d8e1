import { expect } from '@playwright/test'
import { call, FIGURES, planterWithWalk, signIn, walkByStation, test } from './support'

type Guide = {
  checks: {
    key: string
    station: string
    kind: string
    unit: string | null
    sides: string[]
    whole_planter: boolean
    chips: unknown[]
  }[]
  steps: { row: number; now: { result: string; verdict: string; state: string | null } | null }[]
  ribbon: { checked: number }[]
}

async function countKeys(page: Parameters<typeof signIn>[0]): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const counted = window as unknown as { keys: number }
    counted.keys = 0
    window.addEventListener('keydown', () => counted.keys++, { capture: true })
  })
  return () => page.evaluate(() => (window as unknown as { keys: number }).keys)
}

test('a sixteen-row yearly pack with three exceptions a row takes 1.3 keys a station and its figures', async ({
  page,
}) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Yearly Pace', 16, null)
  const { body: guide } = await call<Guide>(page, 'GET', `/api/walks/${walk}`)
  const ofRow = guide.checks.filter((check) => !check.whole_planter)
  const stations = [...new Set(ofRow.map(({ station }) => station))]
  expect(stations.length).toBeGreaterThan(12)
  const exceptions = stations
    .filter((station) => ofRow.some((check) => check.station === station && check.kind === 'condition'))
    .slice(2, 5)
  await walkByStation(page)
  await page.goto(`/planters/${planter}/walk`)
  const heading = page.getByRole('heading', { level: 1 })
  await expect(heading.filter({ hasText: 'Row 1 of 16' })).toBeVisible()
  const keys = await countKeys(page)
  const letters = 'sdgjklaqwerypzxcvbo'
  let figures = 0
  for (let row = 1; row <= 16; row++) {
    for (const station of stations) {
      const here = ofRow.filter((check) => check.station === station)
      const typed = here.flatMap((check) =>
        check.unit === null ? [] : check.sides.map(() => FIGURES[check.key] ?? '3'),
      )
      const lines = here.flatMap((check) => (check.unit === null ? check.sides.map(() => check) : []))
      await expect(heading).toContainText(`Row ${row} of 16`)
      // A figure is what is typed and its Enter, as in a spreadsheet.
      figures += typed.reduce((sum, figure) => sum + figure.length + 1, 0)
      for (const [nth, figure] of typed.entries()) {
        await page.keyboard.type(figure)
        if (nth + 1 < typed.length) await page.keyboard.press('Enter')
      }
      if (exceptions.includes(station)) {
        const at = lines.findIndex((check) => check.kind === 'condition')
        await page.keyboard.press(letters[at] as string)
        await page.keyboard.press('1')
      }
      await page.keyboard.press('Enter')
    }
  }
  const count = await keys()
  const aStation = (count - figures) / (16 * stations.length)
  const told = `${count} keys, ${figures} for figures: ${aStation.toFixed(3)} a station`
  expect(aStation, told).toBeLessThanOrEqual(1.3)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  const { body: after } = await call<Guide>(page, 'GET', `/api/walks/${walk}`)
  const rows = after.steps.filter(({ row }) => row > 0)
  expect(rows.filter(({ now }) => now === null)).toEqual([])
  expect(
    rows.filter(({ now }) => now?.verdict === 'change' || now?.verdict === 'watch' || now?.verdict === 'failed'),
  ).toHaveLength(48)
})

test('three measures a station at a time take no more keys than a spreadsheet, and a station is taken back whole', async ({
  page,
}) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Station Keys', 16)
  await walkByStation(page)
  await page.goto(`/planters/${planter}/walk`)
  const heading = page.getByRole('heading', { level: 1 })
  await expect(heading.filter({ hasText: 'Row 1 of 16 · Opener blades' })).toBeVisible()
  const keys = await countKeys(page)
  let spreadsheet = 0
  for (let row = 1; row <= 16; row++) {
    for (const figure of ['14 5/8', '14 3/4', row % 2 ? '1 7/8' : '2']) {
      await expect(heading).toContainText(`Row ${row} of 16`)
      await page.keyboard.type(figure)
      await page.keyboard.press('Enter')
      spreadsheet += figure.length + 1
    }
  }
  await expect(page.locator('.count')).toContainText('48 of 48')
  expect(await keys()).toBeLessThanOrEqual(spreadsheet)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  await page.goto(`/planters/${planter}/walk?row=5&check=opener_blade_diameter`)
  await expect(heading).toContainText('Row 5 of 16 · Opener blades')
  await page.getByLabel(/^Row 5, Opener blade diameter left/).fill('14 1/2')
  await page.keyboard.press('Enter')
  await page.getByLabel(/^Row 5, Opener blade diameter right/).fill('14 9/16')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel(/^Row 5, Opener blade diameter left/)).toHaveAttribute('placeholder', '14 5/8 in')
  await expect(page.getByLabel(/^Row 5, Opener blade diameter right/)).toHaveAttribute('placeholder', '14 3/4 in')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  const { body } = await call<{ ribbon: { verdict: string }[] }>(page, 'GET', `/api/walks/${walk}`)
  expect(body.ribbon[4]?.verdict).toBe('watch')
})

test('a pack is made, kept, proposed the next time, and one press from the first figure', async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Pack Rows', 4)
  await call(page, 'POST', `/api/walks/${walk}/finish`, { with_unchecked: true })
  await walkByStation(page)
  await page.goto(`/planters/${planter}/walk`)
  const packs = page.getByRole('group', { name: 'Pack' })
  await expect(packs.getByRole('button', { name: 'Yearly' })).toHaveAttribute('aria-pressed', 'true')
  await packs.getByRole('button', { name: 'By hand' }).click()
  await page.getByRole('button', { name: 'None but the first' }).click()
  const stations = page.getByRole('group', { name: 'Stations' })
  await stations.getByRole('button', { name: 'Opener blades', exact: true }).click()
  await stations.getByRole('button', { pressed: true }).first().click()
  await page.getByLabel('Save as a pack, name').fill('Rain day look')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('The pack “Rain day look” already exists.')).toBeVisible()
  await page.getByLabel('Save as a pack, name').fill('Just the blades')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(packs.getByRole('button', { name: 'Just the blades' })).toHaveAttribute('aria-pressed', 'true')

  await page.getByLabel('I have read this').check()
  await page.getByRole('button', { name: 'Start the walk' }).click()
  await expect(page.getByText('station 1 of 1 · pack “Just the blades”')).toBeVisible()
  await expect(page.getByLabel(/^Row 1, Opener blade diameter left/)).toBeFocused()
  await page.getByRole('button', { name: 'Finish' }).click()
  const finish = page.getByRole('dialog', { name: 'Finish this walk?' })
  await finish.getByRole('button', { name: 'Finish anyway' }).click()
  await expect(page.getByRole('heading', { name: 'To decide' })).toBeVisible()
  await page.goto(`/planters/${planter}/walk`)
  await expect(packs.getByRole('button', { name: 'Just the blades' })).toHaveAttribute('aria-pressed', 'true')
  await packs.getByRole('button', { name: 'By hand' }).click()
  await page.getByRole('button', { name: 'Remove the pack “Just the blades”' }).click()
  await expect(packs.getByRole('button', { name: 'Just the blades' })).toHaveCount(0)
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a station is walked by touch: what is wrong, and the rest sound', async ({ page }) => {
    await signIn(page)
    const { planter, walk } = await planterWithWalk(page, 'Thumb Rows', 2, ['opener_bearing', 'scraper'])
    await walkByStation(page)
    await page.goto(`/planters/${planter}/walk`)
    await page.getByRole('button', { name: 'Bearing, left' }).tap()
    await page.getByRole('button', { name: /^seized/ }).tap()
    await page.getByRole('button', { name: /^Rest is sound: on to scrapers/ }).tap()
    await page.getByRole('button', { name: /^All sound here: on to row 2, opener blades/ }).tap()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Row 2 of 2 · Opener blades')
    await expect(page.locator('.count')).toContainText('4 of 8')
    await page.getByRole('link', { name: 'Board' }).tap()
    await expect(page.getByRole('button', { name: /^Row 1, .*bearing left: Failed/i })).toBeVisible()
    const lookedSound = async () => {
      const { body } = await call<Guide>(page, 'GET', `/api/walks/${walk}`)
      return body.steps.filter(({ now }) => now?.result === 'looked_sound').length
    }
    // The device shows it before the server has it.
    await expect.poll(lookedSound).toBe(3)
  })
})
