import { expect, type Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, expectFaultless, planterWithWalk, signIn, test } from './support'

async function dig(page: Page, row: number, depths: string, more: { sign?: string; spacings?: string } = {}) {
  const form = page.getByRole('form', { name: 'Dig sheet' })
  await form.getByRole('spinbutton', { name: 'Row' }).fill(`${row}`)
  await form.getByRole('textbox', { name: 'Depths' }).fill(depths)
  if (more.spacings) await form.getByRole('textbox', { name: 'Spacings' }).fill(more.spacings)
  if (more.sign) await form.getByRole('button', { name: more.sign }).click()
  await form.getByRole('button', { name: `Save row ${row}` }).click()
}

test('a planter is set up by its sprockets, weighed, dug on the phone without a signal, put right and signed off', async ({
  page,
  context,
}) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'By sprockets', 2)
  await page.goto(`/planters/${planter}/calculators`)
  await page.getByRole('button', { name: 'Sprockets', exact: true }).click()
  const sheet = page.getByRole('region', { name: 'Sprockets' })
  const type = async (label: string, value: string) => sheet.getByRole('textbox', { name: label }).fill(value)
  await type('Population', '24000')
  await type('Cells of the disc', '12')
  await type('Rolling circumference', '7.1')
  await type('Slip', '4')
  await type('Sprockets in the box', '0, 17, 20, 24')
  await type('Fitted now', '20, 24')
  await sheet.getByRole('button', { name: 'Calculate' }).click()
  await expect(sheet.getByRole('alert').filter({ hasText: 'from 5 to 120' })).toBeVisible()
  await type('Sprockets in the box', '15, 17, 19, 20, 21, 23, 24, 25, 27')
  await sheet.getByRole('button', { name: 'Calculate' }).click()
  // 12 / 7.1 x 0.96 x 17 / 20 seeds a foot on 17,424 ft of row an acre.
  await expect(sheet).toContainText('24,030 seeds/ac')
  await sheet.getByRole('button', { name: 'Save 17/20 as a setting' }).click()
  await expect(sheet).toContainText('Saved: sprockets')
  await sheet.getByRole('button', { name: 'Save for this planter: sprockets in the box' }).click()
  await expect(sheet).toContainText('Saved: sprocket box')
  await page.getByRole('button', { name: 'Weigh in, weigh out' }).click()
  const weighing = page.getByRole('region', { name: 'Weigh in, weigh out' })
  for (const [label, value] of [
    ['Weighed in', '50'],
    ['Weighed out', '35'],
    ['Area planted', '1.5'],
    ['Seeds by weight, seeds/lb', '2400'],
    ['The scale is right to', '0.1'],
  ] as const)
    await weighing.getByRole('textbox', { name: label }).fill(value)
  await weighing.getByRole('button', { name: 'Calculate' }).click()
  await expect(weighing).toContainText('24,000 ± 500 seeds/ac')
  await expect(weighing).toContainText('(50 lb − 35 lb) / 1.5 ac × 2,400 seeds/lb')
  await expectFaultless(page)

  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/planters/${planter}/first-pass`)
  await page.getByRole('button', { name: 'Every row dropped' }).click()
  await expect(page.getByText('Every row dropped seed.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Depth wanted' }).fill('2')
  await page.getByRole('textbox', { name: 'Spacing set' }).fill('8 3/4')
  await context.setOffline(true)
  await dig(page, 1, '2, 2, 1 15/16, 2 1/16, 2')
  await expect(page.getByText('Syncs when there is a signal')).toBeVisible()
  await dig(page, 2, '1 1/2, 38 mm, 1 1/2, 1 9/16, 1 7/16', {
    sign: 'ridge in the bottom',
    spacings: '8 3/4, 9, 8 1/2',
  })
  await expect(page.getByText('Row 2, pass 1: dug, 5 depths')).toBeVisible()
  await context.setOffline(false)
  const first = page.getByRole('region', { name: 'Pass 1' })
  await expect(first).toContainText('up 2 notches, deeper', { timeout: 30_000 })
  await expect(first).toContainText('really shallower than the others')
  await expect(first).toContainText('ridge in the bottom')
  // What is wrong with it, by the dig; and one press puts it up for Decide.
  await first.getByRole('button', { name: 'Dig row 2' }).click()
  const diagnosis = page.getByRole('region', { name: 'Diagnosis' })
  await expect(diagnosis.getByRole('listitem').first()).toContainText('blade contact short or lost')
  await expect(diagnosis).toContainText('Because: shallower than wanted')
  await diagnosis.getByRole('button', { name: 'residue in the furrow' }).click()
  await expect(diagnosis).toContainText(
    'Because: shallower than wanted, or than the others, ridge in the furrow bottom, residue',
  )
  // Correct, and dug again on the second pass.
  await page.getByRole('form', { name: 'Dig sheet' }).getByRole('combobox', { name: 'Pass' }).press('ArrowDown')
  await page.getByRole('option', { name: '2', exact: true }).click()
  await dig(page, 2, '2, 61, 2')
  const form = page.getByRole('form', { name: 'Dig sheet' })
  await expect(form.getByRole('alert').filter({ hasText: 'Depth 2, “61”: write it from 1/8 to 6 in' })).toBeVisible()
  await form.getByRole('button', { name: 'Remove depths, in 2: 61' }).click()
  await form.getByRole('button', { name: 'Save row 2' }).click()
  await expect(page.getByRole('region', { name: 'Pass 2' })).toContainText('2 in scatter 0 in, before 1.5 in')
  await page.getByRole('textbox', { name: 'What to watch' }).fill('Row 2: the ridge')
  // What is still open is asked about, and nobody signs over a question.
  const signOff = page.getByRole('region', { name: 'Sign-off' })
  for (const answer of await signOff.locator('.answer input').all()) await answer.fill('It waits for the rain')
  await signOff.getByRole('button', { name: 'Ready to plant' }).click()
  await expect(page.getByText('Signed off. Row 2: the ridge')).toBeVisible()
  await expectFaultless(page)
})

test('settings come back with the ground, are told in one line, kept once by two at once, and taken back', async ({
  page,
  context,
}) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'By ground', 4)
  const path = `/api/planters/${planter}/settings`
  const clay = { field: 'Kiln Piece', crop: 'popcorn', soil: 'clay', residue: 'heavy' }
  const closing = { id: uuid(), key: 'closing', value: 'notch 2', ...clay, happened_at: '2026-01-02T10:00:00Z' }
  const answers = await Promise.all([1, 2, 3, 4].map(() => call(page, 'POST', path, { settings: [closing] })))
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 200, 201])
  const at = { id: '', row: 2, happened_at: '2026-01-02T10:00:00Z' }
  for (const [to, list, item] of [
    ['first-pass/digs', 'digs', { pass: 1, target: '2', depths: ['2', '1 3/4'], spacings: [] }],
    ['emergence', 'counts', { field: 'Bank', planted_on: '2025-12-20', plants: 20, length: 17.4 }],
  ] as const) {
    const sent = { [list]: [{ ...at, ...item, id: uuid() }] }
    const four = [1, 2, 3, 4].map(() => call(page, 'POST', `/api/planters/${planter}/${to}`, sent))
    expect((await Promise.all(four)).map(({ status }) => status).sort(), to).toEqual([200, 200, 200, 201])
  }
  const open = ['hand_turned', 'digs'].map((key) => ({ key, answer: 'Sandy ground, two rows are enough' }))
  const ready = { id: uuid(), kind: 'ready', happened_at: at.happened_at, answers: open }
  const signed = [1, 2, 3].map(() => call(page, 'POST', `/api/planters/${planter}/first-pass/sign-offs`, ready))
  expect((await Promise.all(signed)).map(({ status }) => status).sort()).toEqual([200, 200, 201])
  await page.goto(`/planters/${planter}/settings`)
  await expect(page.getByRole('region', { name: 'Set now' })).toContainText('notch 2')
  const form = page.getByRole('form', { name: 'A setting' })
  await form.getByLabel('Rows').fill('9')
  await expect(form).toContainText('Rows from 1 to 4')
  await form.getByLabel('Rows').fill('2-3')
  await form.getByLabel('Set to').fill('180 lb')
  await form.getByRole('button', { name: 'Save', exact: true }).click()
  const now = page.getByRole('region', { name: 'Set now' })
  await expect(now).toContainText('downforce, row 3')
  await call(page, 'POST', path, {
    settings: [{ id: uuid(), key: 'closing', value: 'notch 4', happened_at: new Date().toISOString() }],
  })
  await page.reload()
  await expect(now).toContainText('notch 4')
  // Letter by letter, as a person types.
  await page.getByLabel('Field', { exact: true }).click()
  await page.keyboard.type('Bank', { delay: 60 })
  await expect(page.getByLabel('Field', { exact: true })).toHaveValue('Bank')
  await page.getByLabel('Crop').fill('canola')
  await expect(page.getByText('No history for ground like this yet.')).toBeVisible()
  await page.getByLabel('Field', { exact: true }).fill('Kiln Piece')
  await page.getByLabel('Crop').fill('popcorn')
  const recalled = page.getByRole('region', { name: 'On ground like this' })
  await expect(recalled).toContainText('notch 2')
  await recalled.getByRole('button', { name: 'Use these again' }).click()
  await expect(now).toContainText('notch 2')
  await page.getByText('All settings, newest first').click()
  await page.getByRole('button', { name: 'Undo: closing wheels notch 2' }).first().click()
  await expect(now).toContainText('notch 4')
  // Type a setting, from where there is no signal; what cannot be read is said by its own words.
  const line = page.getByRole('textbox', { name: 'Type a setting' })
  const told = page
    .getByRole('form', { name: 'Settings in one line' })
    .getByRole('button', { name: 'Save', exact: true })
  await line.fill('depth mark 6.5 row 9')
  await told.click()
  await expect(page.getByText('“9”: this planter has rows 1 to 4.')).toBeVisible()
  await context.setOffline(true)
  await line.fill('depth mark 6.5 row 2, singulator 4, note held its depth')
  await told.click()
  await expect(page.getByText('depth mark 6.5 row 2, singulator 4, note held its depth').first()).toBeVisible()
  await context.setOffline(false)
  await expect(now).toContainText('depth, row 2', { timeout: 30_000 })
  await expect(now).toContainText('held its depth')
  await expectFaultless(page)
})

test('what came up is counted without a signal, and the row that is short is named', async ({ page, context }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Coming up', 4)
  await page.goto(`/planters/${planter}/emergence`)
  const form = page.getByRole('form', { name: 'A count' })
  await expect(form).toContainText('Count row 1')
  for (const [label, value] of [
    ['Length counted, ft', '17.424'],
    ['Field', 'Kiln Piece'],
    ['Planted, seeds/ac', '30000'],
    ['Germination, %', '95'],
  ] as const)
    await form.getByLabel(label, { exact: true }).fill(value)
  await form.getByLabel('Plants up').fill('28')
  await form.getByRole('button', { name: 'Save row 1' }).click()
  await expect(form.getByRole('alert').filter({ hasText: 'on which day it was planted' })).toBeVisible()
  await form.getByLabel('Planted on').fill(new Date(Date.now() - 14 * 86_400_000).toISOString().slice(0, 10))
  await form.getByRole('button', { name: 'Save row 1' }).click()
  await expect(form).toContainText('Count row 2')
  await context.setOffline(true)
  for (const [row, plants] of [
    [2, '29'],
    [3, '8'],
    [4, '27'],
  ] as const) {
    await form.getByLabel('Plants up').fill(plants)
    await form.getByRole('button', { name: `Save row ${row}` }).click()
    await expect(page.getByText(`Kiln Piece, row ${row}: ${plants} plants`)).toBeVisible()
  }
  await context.setOffline(false)
  const field = page.getByRole('region', { name: 'Kiln Piece' })
  await expect(field).toContainText('Row 3: thinner than the others, more than chance explains', { timeout: 30_000 })
  await expect(field).toContainText('81% of 28,500 plants/ac')
  await field.getByRole('button', { name: 'What’s wrong: row 3' }).click()
  await expect(page.getByRole('region', { name: 'Diagnosis' })).toContainText(
    'Because: stand thinner than on the other rows',
  )
  // In money only by the shop's own curve.
  await call(page, 'POST', `/api/planters/${planter}/acres`, {
    ...{ id: uuid(), day: new Date().toISOString().slice(0, 10), line: '40 ac, Kiln Piece, field peas' },
  })
  await page.reload()
  const curve = page.getByRole('region', { name: 'Your own yield curve' })
  await curve.getByLabel('Crop').fill('field peas')
  await curve.getByLabel('Unit', { exact: true }).fill('bu')
  await curve.getByLabel('Price per unit').fill('10')
  await curve.getByLabel('Plants and yield').fill('20,000 40')
  await curve.getByRole('button', { name: 'Save the curve' }).click()
  await expect(curve.getByRole('alert').filter({ hasText: '2 to 12 points' })).toBeVisible()
  await curve.getByLabel('Plants and yield').fill('20,000 40; 30,000 60')
  await curve.getByRole('button', { name: 'Save the curve' }).click()
  // 23,000 stand of 28,500: 5,500 plants at 2 bu a thousand are 11 bu, at 10 each.
  await expect(field).toContainText('11 bu/ac less than a full stand: $110/ac, $4,400 on 40 ac')
  await expectFaultless(page)
})

test('the made-up monitor tells of a field, the row that stops is found and looked into, and what rows share is on file', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Watched', 8)
  await page.goto(`/planters/${planter}/row-watch`)
  await page.getByText('Shared parts', { exact: true }).click()
  const shared = page.getByRole('form', { name: 'Shared parts' })
  await shared.getByRole('button', { name: 'Another' }).click()
  await shared.getByRole('textbox', { name: 'Name' }).last().fill('Left')
  await shared.getByRole('textbox', { name: 'Rows' }).last().fill('1-4, 12')
  await expect(shared).toContainText('Rows from 1 to 8')
  await shared.getByRole('textbox', { name: 'Rows' }).last().fill('1-4')
  await shared.getByRole('button', { name: 'Save shared parts' }).click()
  await expect(page.getByText('Used from the next row watch')).toBeVisible()

  const form = page.getByRole('form', { name: 'Start row watch' })
  await form.getByLabel('One false alarm per').fill('3')
  await form.getByRole('textbox', { name: 'Field' }).fill('Long Field')
  await form.getByLabel('Practice on a simulated field').check()
  await form.getByRole('button', { name: 'Watch', exact: true }).click()
  await expect(form.getByRole('alert').filter({ hasText: 'The least is 50' }).first()).toBeVisible()
  await form.getByLabel('One false alarm per').fill('1600')
  await form.getByRole('button', { name: 'Watch', exact: true }).click()
  const watch = page.getByRole('region', { name: 'Row watch' })
  await expect(watch).toContainText('Planting')
  const alarms = page.getByRole('region', { name: 'Alarms' })
  await expect(alarms).toContainText('drops no seed', { timeout: 110_000 })
  await expect(watch.getByRole('button', { name: /stopped$/ })).toHaveCount(1)
  await expectFaultless(page)
  await alarms.getByRole('button', { name: /^What is wrong with Row/ }).click()
  await expect(page.getByRole('region', { name: 'Diagnosis' })).toContainText('Check first')
  await alarms.getByRole('button', { name: 'Seen' }).click()
  await expect(alarms).toContainText('seen by')
  await alarms.getByRole('button', { name: 'Shut off on purpose' }).click()
  await expect(watch.getByRole('button', { name: /shut off$/ })).toHaveCount(1)
  await watch.getByRole('button', { name: 'End row watch' }).click()
  await expect(page.getByRole('region', { name: 'Earlier watches' })).toContainText('Long Field, practice')
  await expect(page.getByRole('region', { name: 'Passes' })).toContainText('lowest row')
})

test('a field is logged from the phone in one line, held against the plan, and what was made do with is over some day', async ({
  page,
}) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Logged', 8)
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/planters/${planter}/field`)
  const line = page.getByLabel('What you planted')
  await line.fill('62.5 ac, Long Field, popcorn, 34000 sheets')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByText('The first name is the field, the second the crop')).toBeVisible()
  await line.fill(
    '62.5 ac, Long Field, popcorn, lot P7, 34000 seeds, 8 gal/ac starter, section control off until the part comes',
  )
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  const fields = page.getByRole('region', { name: 'By field' })
  await expect(fields).toContainText('34,000 seeds/ac')
  await expect(fields).toContainText('not planned')
  const around = page.getByRole('region', { name: 'Workaround' })
  await expect(around).toContainText('section control off until the part comes')
  await expectFaultless(page)

  await page.setViewportSize({ width: 1280, height: 800 })
  await page.getByRole('button', { name: /62.5 ac Long Field/ }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Population, seeds/ac').fill('34000; 32000 from 40 ac')
  await form.getByLabel('Products').fill('8 starter')
  await form.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(form.getByRole('alert').filter({ hasText: '“8 starter” is not a product' })).toBeVisible()
  await form.getByLabel('Products').fill('8 gal/ac starter; 5 lb/ac zinc')
  await form.getByLabel('Acres by the map').fill('60')
  await form.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('the counter shows 4% more than the map')).toBeVisible()
  await expect(page.getByText('5 lb/ac zinc')).toBeVisible()
  await around.getByRole('button', { name: 'Ended: section control off' }).click()
  await expect(around).toHaveCount(0)
  await expect(fields).toContainText('33,280 seeds/ac')
  const log = await page.evaluate(async (at) => (await fetch(at)).text(), `/api/planters/${planter}/acres/log.csv`)
  expect(log).toContain('"34,000; 32,000 from 40 ac"')
})

test('set to 6 in and found at 9, on the phone in the order of work: the sprocket is named, changed, and dug again', async ({
  page,
  context,
}) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Set to six', 4, undefined, { equipment: { drive: 'ground' } })
  const set = (key: string, value: string) => ({ id: uuid(), key, value, happened_at: '2026-01-02T10:00:00Z' })
  const settings = [set('sprockets', '30/20'), set('sprocket_box', '20, 25')]
  expect((await call(page, 'POST', `/api/planters/${planter}/settings`, { settings })).status).toBe(201)
  const mark = { id: uuid(), key: 'depth_mark', figure: 4, happened_at: '2026-01-02T10:00:00Z' }
  expect((await call(page, 'POST', `/api/planters/${planter}/settings`, { settings: [mark] })).status).toBe(201)

  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/planters/${planter}/first-pass`)
  const steps = page.getByRole('navigation', { name: 'Steps of the first pass' })
  const next = steps.locator('[aria-current=step]')
  await expect(next).toContainText('Turn by hand')
  await page.getByRole('button', { name: 'Every row dropped' }).click()
  await expect(next).toContainText('Plant 50 ft and dig')

  // Out of reach: four rows are dug, and go up when there is a signal again.
  await page.getByRole('textbox', { name: 'Depth wanted' }).fill('2')
  await page.getByRole('textbox', { name: 'Spacing set' }).fill('6')
  await page.getByRole('textbox', { name: 'Spot' }).fill('Hilltop')
  await context.setOffline(true)
  const spacings = '9, 8 1/2, 9 1/4, 9, 8 3/4, 9 1/2'
  for (const row of [1, 2, 3, 4]) await dig(page, row, row === 2 ? '1 1/2, 1 1/2, 1 1/2' : '2, 2, 2', { spacings })
  await expect(page.getByText('Row 4, pass 1: dug')).toBeVisible()
  await context.setOffline(false)
  const rate = page.getByRole('region', { name: 'Pass 1' }).getByRole('group', { name: 'Rate' })
  await expect(rate).toContainText('The rate is off', { timeout: 30_000 })
  await expect(rate).toContainText('50% too far apart')
  await expect(rate.getByRole('listitem').first()).toHaveText(
    '20/20 looks to be in, not 30/20. Read the teeth, then change the driver from 20 to 30 teeth.',
  )
  await expect(page.getByRole('region', { name: 'Pass 1' })).toContainText('Hilltop')
  await expect(next).toContainText('Adjust')

  // What was turned is saved where it was turned, and stands between the passes.
  const adjust = page.getByRole('form', { name: 'Adjust' })
  await expect(adjust.getByRole('listitem').filter({ hasText: 'Row 2' })).toContainText('up 2 notches, deeper')
  await expect(adjust.getByRole('textbox', { name: 'Row 2, notch now' })).toHaveValue('6')
  await adjust.getByRole('button', { name: 'Save changes' }).click()
  await expect(adjust).toContainText('Plant another 50 ft and dig again')
  await expect(next).toContainText('Dig again')

  await page.getByRole('form', { name: 'Dig sheet' }).getByRole('combobox', { name: 'Pass' }).press('ArrowDown')
  await page.getByRole('option', { name: '2', exact: true }).click()
  for (const row of [1, 2, 3, 4]) await dig(page, row, '2, 2, 2', { spacings: '6, 6.1, 5.9, 6, 6, 6' })
  const again = page.getByRole('region', { name: 'Pass 2' })
  await expect(again.getByRole('group', { name: 'Rate' })).toContainText('The rate is right')
  await expect(again).toContainText('depth to 6 notches, row 2')
  await expect(next).toContainText('Sign off')
  // Depth was changed: what bears on the ground is asked about again.
  const moved = page.getByRole('textbox', { name: 'Depth or downforce was changed: look again at' })
  await moved.fill('Looked at, all right')
  await page.getByRole('button', { name: 'Ready to plant' }).click()
  await expect(page.getByText('Signed off.')).toBeVisible()
  await expect(next).toHaveCount(0)
  await expectFaultless(page)
})

test('settings go to another planter of the shop in two taps, and what it cannot take is named', async ({ page }) => {
  await signIn(page)
  const ground = { equipment: { drive: 'ground', downforce: 'hydraulic' } }
  const { planter } = await planterWithWalk(page, 'Sends', 8, undefined, ground)
  const { planter: other } = await planterWithWalk(page, 'Takes', 4, undefined, { equipment: { drive: 'electric' } })
  const set = (key: string, more: object) => ({ id: uuid(), key, ...more, happened_at: '2026-01-02T10:00:00Z' })
  const settings = [
    set('sprockets', { value: '30/20' }),
    set('closing', { value: 'notch 2' }),
    set('closing', { value: 'notch 3', row: 7 }),
    set('population', { figure: 31_000 }),
  ]
  expect((await call(page, 'POST', `/api/planters/${planter}/settings`, { settings })).status).toBe(201)
  await page.goto(`/planters/${planter}/settings`)
  const sending = page.getByRole('group', { name: 'Send to another planter' })
  // A yard of many planters is searched.
  await sending.getByRole('combobox', { name: 'Send to another planter' }).pressSequentially(', Takes')
  await expect(page.getByRole('option', { name: 'Decide' })).toHaveCount(0)
  await page
    .getByRole('option', { name: /, Takes/ })
    .last()
    .click()
  await expect(sending).toContainText('sprockets 30/20 (it has none)')
  await expect(sending).toContainText('closing wheels notch 3, row 7 (it has no such row)')
  await sending.getByRole('button', { name: 'Send 2 settings' }).click()
  await expect(sending.getByRole('status')).toContainText('Takes')
  await expectFaultless(page)
  await page.goto(`/planters/${other}/settings`)
  const now = page.getByRole('region', { name: 'Set now' })
  await expect(now).toContainText('31,000 seeds/ac')
  await expect(now).toContainText('notch 2')
  await expect(now).not.toContainText('30/20')
})
