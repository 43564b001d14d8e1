import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import { startMeasuring, signIn, signInByHand, test } from './support'

// Eight rows: left, right, contact. Row 3 is past its limit on the left, row 5 has lost contact.
const rows = [
  ['14 3/4', '14 13/16', '2'],
  ['14.75', '14-3/4"', '1 7/8'],
  ['14 3/8', '14 9/16', '1 3/4'],
  ['375 mm', '14⅝', '2 1/8'],
  ['14 11/16', '14 3/4', '0'],
  ['14 3/4', '14 3/4', '2'],
  ['14 7/8', '14 13/16', '2 1/2'],
  ['14 3/4', '14 11/16', '2'],
]

test('an eight-row planter is made and walked by keyboard alone, corrected, finished and exported', async ({
  page,
}) => {
  await signInByHand(page)
  await page.getByRole('link', { name: 'Add planter' }).click()

  // What cannot stand is named at its field, and nothing typed is lost.
  await page
    .getByLabel('Planter name')
    .fill(`Keyboard Eight${'!'.repeat(test.info().retry + test.info().repeatEachIndex)}`)
  await page.getByLabel('Farm').fill('Ardle Bank Farm')
  await page.getByLabel('Rows', { exact: true }).fill('49')
  await page.getByLabel('Row spacing').fill('0')
  await page.getByRole('button', { name: 'Add planter' }).click()
  await expect(page.getByText('A planter has 1 to 48 rows, a drill up to 64.').first()).toBeVisible()
  await expect(page.getByText('Row spacing has to be more than 0, such as 30 in or 76 cm.').first()).toBeVisible()
  await page.getByLabel('Rows', { exact: true }).fill('8')
  await page.getByLabel('Row spacing').fill('30')
  await page.getByLabel('Rows per section').fill('2, 4, 2')
  await page.getByRole('button', { name: 'Add planter' }).click()

  await page.getByRole('link', { name: 'Start the walk' }).click()
  await startMeasuring(page)
  await expect(page.getByRole('heading', { name: 'Row 1 of 8 · Opener blade diameter, left' })).toBeVisible()

  // The figure is judged while it is typed, before it is stored.
  await page.keyboard.type('14 3/8')
  await expect(page.locator('.chip')).toHaveText('Change')
  await page.keyboard.press('Escape')

  let enters = 0
  for (const [index, row] of rows.entries()) {
    for (const figure of row) {
      await expect(page.getByRole('heading', { name: new RegExp(`^Row ${index + 1} of 8`) })).toBeVisible()
      // What the rows make unlikely comes with the news of what was sent.
      await expect(page.getByText('saved', { exact: true })).toBeVisible()
      await page.keyboard.type(figure)
      await page.keyboard.press('Enter')
      enters++
      // Far from the other rows: asked once, kept on the second Enter.
      const really = page.getByText('Is this right?')
      const kept = page.locator('.count strong').filter({ hasText: new RegExp(`^${enters}$`) })
      await expect(really.or(kept)).toBeVisible()
      if (await really.isVisible()) await page.keyboard.press('Enter')
    }
  }
  expect(enters).toBe(24)
  await expect(page.getByText('24 of 24 readings')).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  const board = async () => {
    await page.getByRole('link', { name: 'Board' }).click()
    await expect(page.getByText('8 of 8 rows done')).toBeVisible()
    await page.getByRole('button', { name: 'Opener blades', exact: true }).click()
  }
  await board()
  await expect(page.getByText('8 of 8 rows done · 0 failed · 2 to change · 3 to watch')).toBeVisible()
  await expect(
    page.getByRole('button', { name: 'Row 3, Opener blade diameter left: Change, 14 3/8 in' }).last(),
  ).toBeVisible()
  await expect(page.getByRole('button', { name: 'Row 5, Blade contact length: Change, 0 in' })).toBeVisible()
  await expect(
    page.getByRole('button', { name: 'Row 4, Opener blade diameter left: Sound, 14 3/4 in' }).last(),
  ).toBeVisible()

  // A correction: from the board to the place, typed anew; the history keeps both.
  await page.getByRole('button', { name: 'Row 3, Opener blade diameter left: Change, 14 3/8 in' }).last().click()
  // Once its history is there it moves no more.
  await expect(page.getByRole('dialog').getByText('Wren Ashdown')).toBeVisible()
  await page.getByRole('button', { name: 'Measure again' }).click()
  await expect(page.getByRole('heading', { name: 'Row 3 of 8 · Opener blade diameter, left' })).toBeVisible()
  await page.keyboard.type('14 5/8')
  await page.keyboard.press('Enter')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.reload()
  await expect(page.getByText('24 of 24 readings')).toBeVisible()
  await board()
  await page.getByRole('button', { name: 'Row 3, Opener blade diameter left: Watch, 14 5/8 in' }).last().click()
  await expect(page.getByText('corrected since')).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()

  await page.getByRole('link', { name: 'All measured: finish' }).click()
  await page.getByRole('button', { name: 'Finish' }).click()
  await page.getByRole('button', { name: 'Finish the walk' }).click()
  await expect(page.getByRole('heading', { name: 'To decide' })).toBeVisible()
  await page.getByRole('link', { name: 'Board' }).click()
  await expect(page.getByRole('button', { name: 'Reopen the walk' })).toBeVisible()

  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('link', { name: 'Export CSV' }).click()
  const lines = readFileSync(await (await downloading).path(), 'utf8')
    .trimEnd()
    .split('\r\n')
  expect(lines.find((line) => line.includes(',3,opener_blades,opener_blade_diameter,left,'))).toContain(
    ',recorded,371.475,mm,14.625,,,watch,',
  )
})

test('keys move, take back, and say same as last time; the way back is at the next unchecked', async ({ page }) => {
  await signIn(page)
  await page.getByRole('link', { name: 'Quill Bottom' }).click()
  await page.getByRole('link', { name: 'Continue at row 10' }).click()
  const heading = page.getByRole('heading', { level: 1 })
  const done = page.locator('.count strong')
  await expect(heading).toContainText('Row 10 of 16 · Row cleaner teeth, left')
  const before = Number(await done.innerText())

  await page.keyboard.press(']')
  await expect(heading).toContainText('Row 11 of 16 · Row cleaner teeth, left')
  await page.keyboard.press('}')
  await expect(heading).toContainText('Row 11 of 16 · Fertilizer blade diameter')
  await page.keyboard.press('[')
  await page.keyboard.press('{')
  await expect(heading).toContainText('Row 10 of 16 · Row cleaner teeth, left')

  await page.keyboard.press('=')
  await expect(heading).toContainText('Row cleaner teeth, right')
  await page.keyboard.press('n')
  await expect(heading).toContainText('Row cleaner bearing, left')
  await expect(done).toHaveText(String(before + 2))
  // A reason ticked is undone with its reading.
  await page.keyboard.press('w')
  await page.keyboard.press('1')
  await expect(page.locator('.words .chip')).toHaveText('Watch')
  await page.keyboard.press('Enter')
  await expect(heading).toContainText('Row cleaner bearing, right')
  for (const left of [2, 1, 0]) {
    await page.keyboard.press('u')
    await expect(done).toHaveText(String(before + left))
  }
  await expect(heading).toContainText('Row cleaner teeth, left')

  await page.keyboard.press('?')
  await expect(page.getByRole('heading', { name: 'Keys on a walk' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'Keys on a walk' })).toBeHidden()

  // What cannot be read is explained and stays in the field.
  await page.keyboard.press('}')
  await expect(heading).toContainText('Fertilizer blade diameter')
  await page.keyboard.type('14 3/')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('the fraction needs its bottom number')
  await expect(page.locator('input.field')).toHaveValue('14 3/')
  await page.keyboard.press('Escape')

  // Larger than new is asked about once.
  await page.keyboard.type('16 1/2')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Is this right?')).toBeVisible()
  await expect(done).toHaveText(String(before))
  await page.keyboard.press('Escape')

  const snake = page.getByRole('button', { name: 'Snake' })
  await page.getByRole('button', { name: 'Pack', exact: true }).click()
  await snake.click()
  await page.getByRole('button', { name: 'Continue' }).click()
  await page.getByRole('button', { name: /^Row 16:/ }).click()
  await expect(heading).toContainText('Row 16 of 16')
  await page.waitForLoadState('networkidle')
  await page.reload()
  await expect(heading).toContainText('Row 10 of 16')
  await page.getByRole('button', { name: 'Pack', exact: true }).click()
  await expect(snake).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'Row by row' }).click()
  await page.getByRole('button', { name: 'Continue' }).click()
})

test('an earlier season is looked back at from the board', async ({ page }) => {
  await signIn(page)
  await page.getByRole('link', { name: 'Hask Hill' }).click()
  await expect(page.getByRole('heading', { name: /^No walk for/ })).toBeVisible()
  await page.getByRole('button', { name: 'More' }).click()
  await page
    .getByRole('button', { name: /^Pre-season walk/ })
    .first()
    .click()
  await expect(page.getByText('8 of 8 rows done')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Reopen the walk' })).toBeVisible()
})

test('a walk is finished with rows unchecked, which it says, and is reopened', async ({ page }) => {
  await signIn(page)
  await page.getByRole('link', { name: 'Pell Garden' }).click()
  await expect(page.getByRole('heading', { name: /^No walk for/ })).toBeVisible()
  await page.getByRole('link', { name: 'Start the walk' }).click()
  await startMeasuring(page)
  await expect(page.getByRole('heading', { name: /^Row 1 of 2/ })).toBeVisible()
  await page.keyboard.type('14 7/8')
  await page.keyboard.press('Enter')
  await expect(page.getByText('1 of 6 readings')).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Finish' }).click()
  await expect(page.getByText('5 readings are unchecked, on rows 1 and 2.')).toBeVisible()
  await page.getByRole('button', { name: 'Finish anyway' }).click()
  await expect(page.getByRole('heading', { name: 'To decide' })).toBeVisible()
  await page.getByRole('link', { name: 'Board' }).click()
  await page.getByRole('button', { name: 'Reopen the walk' }).click()
  await expect(page.getByText('1 of 6 readings')).toBeVisible()
})

test('own figures: a spec sheet is copied, a bad figure named, a good one judged by', async ({ page }) => {
  await signIn(page)
  await page.goto('/spec-sheets')
  await page.getByRole('button', { name: 'Copy' }).first().click()
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'own figures' })).toBeVisible()
  await page.getByRole('row', { name: 'Opener blade diameter' }).getByLabel('Change below').fill('15 1/4')
  await page.getByRole('button', { name: 'Save figures' }).click()
  await expect(page.getByText('The limit has to be under the new size.').first()).toBeVisible()
  await page.getByRole('row', { name: 'Opener blade diameter' }).getByLabel('Change below').fill('14 1/4')
  await page.getByRole('button', { name: 'Save figures' }).click()
  await expect(page.getByText('Saved. Open walks')).toBeVisible()
  await page.getByRole('button', { name: 'Preview changes' }).click()
  await expect(page.getByText('No verdict changes.')).toBeVisible()
  await page.getByLabel('Only my figures').check()
  await expect(page.getByRole('row')).toHaveCount(1)
  await expect(page.getByText('typical 14', { exact: false })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('row', { name: 'Opener blade diameter' }).getByLabel('Change below')).toHaveValue(
    '14 1/4 in',
  )

  // A check of the shop's own beside them, with a limit that is no number first.
  await page.getByRole('button', { name: 'Add a check' }).click()
  const form = page.getByRole('group', { name: 'New check' })
  await form.getByLabel('Name, with unit').fill('Spring length, cm')
  await form.getByLabel('Type').click({ force: true })
  await page.getByRole('option', { name: 'A number, at least' }).click()
  await form.getByLabel('Change below').fill('long')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('"long" is not a number').first()).toBeVisible()
  await form.getByLabel('Change below').fill('30')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Remove Spring length, cm' })).toBeVisible()
  await expect(page.getByRole('row', { name: 'Spring length, cm' }).getByLabel('Change below')).toHaveValue('30')
})

test('the shop’s own figures: a bad one is named at its field, good ones hold', async ({ page }) => {
  await signIn(page)
  await page.goto('/shop')
  await page.getByLabel('sand').fill('5')
  await page.getByRole('button', { name: 'Save figures' }).click()
  await expect(page.getByText('The most is 2').first()).toBeVisible()
  await page.getByLabel('sand').fill('1.5')
  await page.getByLabel('Opener blade diameter, your own, in mm').fill('0.8')
  await page.getByRole('button', { name: 'Save figures' }).click()
  await expect(page.getByText('Saved. All forecasts')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('sand')).toHaveValue('1.5')
  await page.getByLabel('sand').fill('')
  await page.getByLabel('Opener blade diameter, your own, in mm').fill('')
  await page.getByRole('button', { name: 'Save figures' }).click()
  await expect(page.getByText('Saved. All forecasts')).toBeVisible()
})
