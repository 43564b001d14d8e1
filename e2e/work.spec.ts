import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { expect, type Locator, type Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, keptOnDevice, planterWithWalk, signIn, test } from './support'

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
    ['Add to calendar', 'BEGIN:VCALENDAR'],
    ['Export CSV', 'day,begins,ends,person'],
  ] as const) {
    const downloading = page.waitForEvent('download')
    await page.getByRole('link', { name: link }).click()
    expect(readFileSync(await (await downloading).path(), 'latin1').startsWith(begins), link).toBe(true)
  }
  for (const [link, ...says] of [
    ['Sign-off sheet', 'Ready to plant', 'Row 2', 'seed tube', 'planting waits for it'],
    ['Print cards', 'adjust: gauge wheel touch left. one shim out', 'Planter locked, blocked and chocked', 'Row 2'],
  ] as const) {
    const downloading = page.waitForEvent('download')
    await page.getByRole('link', { name: link }).click()
    const text = execFileSync('pdftotext', ['-layout', await (await downloading).path(), '-'], { encoding: 'utf8' })
    for (const said of says) expect(text.replace(/\s+/g, ' '), link).toContain(said)
  }

  // Preview changes it is said at once.
  await page.getByRole('button', { name: 'One more person?' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'With one more person' })).toContainText('ready')

  // A card says what to mind and how far to turn, and is ticked in the order in which hands come to it.
  await unfold(days)
  await days.getByRole('button', { name: 'Card: Row 3, adjust: gauge wheel touch' }).click()
  const card = page.getByRole('dialog', { name: 'Card' })
  await expect(card).toContainText('one shim')
  await expect(card).toContainText('operator')
  await expect(card.getByRole('button', { name: /^Adjust: gauge wheel touch left/ })).toBeDisabled()
  await card.getByRole('button', { name: 'Tick: Planter locked' }).click()
  await card.getByRole('button', { name: 'Tick: Adjust: gauge wheel touch left' }).click()
  // A tick is taken back, and set again.
  await card.getByRole('button', { name: /^Adjust: gauge wheel touch left/, pressed: true }).click()
  await expect(card.getByRole('button', { name: 'Finish' })).toHaveCount(0)
  await card.getByRole('button', { name: 'Tick: Adjust: gauge wheel touch left' }).click()
  await expect(card.getByRole('timer')).toContainText('1 min so far')
  await card.getByRole('button', { name: 'Finish' }).click()
  await card.getByLabel('Minutes taken').fill('10000')
  await card.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(card.getByRole('alert').filter({ hasText: 'The most is 6000' }).first()).toBeVisible()
  await card.getByLabel('Minutes taken').fill('7')
  await card.getByRole('textbox', { name: 'What is it set to now?' }).fill('depth mark 6.5')
  await card.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(card).toContainText('Measure again now')
  await card.getByRole('link', { name: 'Measure: Row 3, gauge wheel touch left' }).click()
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 3 of 4' })).toBeVisible()

  // A part that goes in leaves the plan, and ledger, board and Decide have it.
  await page.goto(`/planters/${planter}/work`)
  await expect(page.getByRole('region', { name: 'Done', exact: true })).toContainText(
    'Row 3: Adjust: gauge wheel touch left · 7 min',
  )
  const { body: set } = await call<{ now: { row: number; said: string }[] }>(
    page,
    'GET',
    `/api/planters/${planter}/settings`,
  )
  expect(set.now.map(({ row, said }) => [row, said])).toEqual([[3, '6.5 notches']])
  const undated = page.getByRole('region', { name: 'Cannot be scheduled' })
  await expect(undated).toContainText('no part chosen for seed tube')
  await undated.getByRole('button', { name: 'Card: Row 2, seed tube' }).click()
  await card.getByRole('button', { name: 'Tick: Planter locked' }).click()
  await card.getByRole('button', { name: 'Tick: Seed tube' }).click()
  await card.getByRole('button', { name: 'Finish' }).click()
  await card.getByRole('button', { name: 'Done', exact: true }).click()
  await card.getByRole('button', { name: 'Back to the plan' }).click()
  await expect(undated).toHaveCount(0)
  expect(await fittedOn(page, planter)).toContainEqual({ row: 2, slot: 'seed_tube' })

  // Taken back it is out of the ledger, and to be done again.
  await page.getByRole('button', { name: 'Undo: Row 2, Seed tube' }).click()
  await expect(undated).toContainText('seed tube')
  expect(await fittedOn(page, planter)).toEqual([])
})

async function fittedOn(page: Page, planter: number): Promise<{ row: number; slot: string }[]> {
  const { body } = await call<{ fitted: { row: number; slot: string }[] }>(
    page,
    'GET',
    `/api/planters/${planter}/ledger`,
  )
  return body.fitted.map(({ row, slot }) => ({ row, slot }))
}

test('work of the shop’s own is planned, and taken off again', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Own work', 4)
  await page.goto(`/planters/${planter}/work`)
  await page.getByRole('button', { name: 'Add a job' }).click()
  const form = page.getByRole('dialog', { name: 'Add a job' })
  await form.getByLabel('What to do').fill('Weld the bracket')
  await form.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(form.getByRole('alert').filter({ hasText: 'Type a number' }).first()).toBeVisible()
  await form.getByLabel('Minutes').fill('45')
  await form.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(form).toHaveCount(0)
  const days = page.getByRole('region', { name: 'Day by day' })
  await unfold(days)
  await expect(days).toContainText('lubricate hitch (grease)')
  await days.getByRole('button', { name: 'Card: Whole planter, Weld the bracket' }).click()
  const card = page.getByRole('dialog', { name: 'Card' })
  await card.getByRole('button', { name: 'Tick: Planter locked' }).click()
  await expect(card.getByRole('button', { name: 'Tick: Weld the bracket' })).toBeVisible()
  await card.getByRole('button', { name: 'Not needed: Weld the bracket' }).click()
  await expect(card).toHaveCount(0)
  await expect(days).not.toContainText('Weld the bracket')
})

test('what could not be done goes back to Decide with why', async ({ page }) => {
  await signIn(page)
  const { planter } = await decided(page, 'Work undone')
  await page.goto(`/planters/${planter}/work`)
  const undated = page.getByRole('region', { name: 'Cannot be scheduled' })
  await undated.getByRole('button', { name: 'Card: Row 2, seed tube' }).click()
  const card = page.getByRole('dialog', { name: 'Card' })
  await card.getByRole('button', { name: 'Could not: Row 2, Seed tube' }).click()
  const form = page.getByRole('dialog', { name: 'Could not be done' })
  await form.getByRole('button', { name: 'seized, does not come off' }).click()
  await expect(form).toContainText('Heat on a seized joint')
  await form.getByLabel('Your own words').fill('the lower pin')
  await form.getByRole('button', { name: 'Back to Decide' }).click()
  await expect(form).toHaveCount(0)
  await card.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(undated).toHaveCount(0)
  await page.goto(`/planters/${planter}/decide`)
  await expect(page.getByText('Row 2 could not be done: seized, does not come off, the lower pin (Wren')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Accept: .*[Ss]eed tube/ })).toBeVisible()
})

test.describe('on the phone', () => {
  test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } })

  test('a card is ticked and finished without a signal, with a reload, and goes up once', async ({ page, context }) => {
    await signIn(page)
    const { planter } = await decided(page, 'Work without a signal')
    await page.goto(`/planters/${planter}/work`)
    await keptOnDevice(page)
    const undated = page.getByRole('region', { name: 'Cannot be scheduled' })
    await expect(undated).toContainText('seed tube')
    await page.waitForLoadState('networkidle')

    await context.setOffline(true)
    await undated.getByRole('button', { name: 'Card: Row 2, seed tube' }).click()
    const card = page.getByRole('dialog', { name: 'Card' })
    await card.getByRole('button', { name: 'Tick: Planter locked' }).click()
    await expect(card).toContainText('waits on this device')
    await page.reload()
    await undated.getByRole('button', { name: 'Card: Row 2, seed tube' }).click()
    await expect(card.getByRole('button', { name: 'Planter locked, blocked and chocked', pressed: true })).toBeVisible()
    await card.getByRole('button', { name: 'Tick: Seed tube' }).click()
    await card.getByRole('button', { name: 'Finish' }).click()
    await card.getByLabel('Lubricant used').fill('anti-seize')
    await card.getByRole('button', { name: 'Done', exact: true }).click()
    await card.getByRole('button', { name: 'Back to the plan' }).click()
    await expect(undated).toHaveCount(0)
    await page.reload()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Ready on')
    await expect(undated).toHaveCount(0)

    await context.setOffline(false)
    await expect(page.getByRole('region', { name: 'Done', exact: true })).toContainText(
      'Row 2: Seed tube · 1 min · anti-seize',
      {
        timeout: 60_000,
      },
    )
    expect(await fittedOn(page, planter)).toEqual([{ row: 2, slot: 'seed_tube' }])
  })
})

test('two people at one card see each other, and what both finish at once is done once', async ({
  page,
  elsewhere,
}) => {
  await signIn(page)
  const { planter } = await decided(page, 'Work by two')
  const other = await elsewhere()
  await signIn(other)
  for (const at of [page, other]) {
    await at.goto(`/planters/${planter}/work`)
    await at.getByRole('button', { name: 'Card: Row 2, seed tube' }).click()
  }
  const card = page.getByRole('dialog', { name: 'Card' })
  await card.getByRole('button', { name: 'Tick: Planter locked' }).click()
  await expect(
    other.getByRole('dialog', { name: 'Card' }).getByRole('button', { name: 'Planter locked', pressed: true }),
  ).toBeVisible()
  const finish = (mark: number) => {
    const part = uuid()
    const targets = ['change:2:seed_tube:centre']
    const event = { id: uuid(), kind: 'finished', targets, minutes: 9, ledger: [part], happened_at: at() }
    const fitted = { id: part, kind: 'fitted', row: 2, slot: 'seed_tube', side: 'centre', happened_at: at() }
    const settings = [{ id: uuid(), line: `depth mark ${mark}`, row: 2, happened_at: at() }]
    return { events: [event], ledger: [fitted], settings }
  }
  const path = `/api/planters/${planter}/work/hands`
  const sent = [page, other, page, other].map((of, index) => call(of, 'POST', path, finish(4 + index)))
  const statuses = (await Promise.all(sent)).map(({ status }) => status)
  expect([...statuses].sort()).toEqual([201, 422, 422, 422])
  expect(await fittedOn(page, planter)).toEqual([{ row: 2, slot: 'seed_tube' }])
  // What it was set to is what the one that was taken says, and nothing of the others.
  const { body: is } = await call<{ now: { row: number; said: string }[] }>(
    page,
    'GET',
    `/api/planters/${planter}/settings`,
  )
  expect(is.now.map(({ row, said }) => [row, said])).toEqual([[2, `${4 + statuses.indexOf(201)} notches`]])
  // The same sent again at once, as after lost answers, is known.
  const same = { events: [{ id: uuid(), kind: 'ticked', targets: ['off:4:lock:centre'], happened_at: at() }] }
  const again = await Promise.all([page, other, page, other].map((of) => call(of, 'POST', path, same)))
  expect(again.map(({ status }) => status).sort()).toEqual([200, 200, 200, 201])
})

test('a plan is kept, goes on with what is set by hand, and says what broke it', async ({ page, elsewhere }) => {
  await signIn(page)
  const { planter, walk } = await decided(page, 'Work that is kept')
  await page.goto(`/planters/${planter}/work`)
  await page.getByRole('button', { name: 'Save plan' }).click()
  await expect(page.getByText('Still on track.')).toBeVisible()

  const days = page.getByRole('region', { name: 'Day by day' })
  await unfold(days)
  await days.getByRole('button', { name: 'Move: Row 3, adjust: gauge wheel touch' }).click()
  const form = page.getByRole('dialog', { name: 'Set by hand' })
  await form.getByLabel('Starts at').fill('03:00')
  await form.getByRole('button', { name: 'Set', exact: true }).click()
  await expect(form.getByRole('alert').filter({ hasText: 'outside that person’s hours' })).toBeVisible()
  const late = (await form.getByLabel('Day').inputValue()).replace(/\d\d$/, '28')
  await form.getByLabel('Day').fill(weekday(late))
  // He works on each day of the week; others do not, and the plan may have picked one of them today.
  await form.getByRole('combobox', { name: 'Who does it' }).press('ArrowDown')
  await page.getByRole('option', { name: 'Idris Vale' }).click()
  await form.getByLabel('Starts at').fill('10:30')
  await form.getByRole('button', { name: 'Set', exact: true }).click()
  await expect(form).toHaveCount(0)
  await expect(days).toContainText('set by hand')

  const other = await elsewhere()
  await signIn(other)
  const path = `/api/planters/${planter}/work/plan`
  type Plan = { kept: { revision: number } }
  const { kept } = (await call<Plan>(page, 'GET', `/api/planters/${planter}/work`)).body
  const keep = (of: Page, seen: number, remake: boolean) => call<Plan>(of, 'PUT', path, { seen, remake })
  // The same twice at once, as where an answer was lost: kept once.
  const same = await Promise.all([page, other].map((of) => keep(of, kept.revision, true)))
  expect(same.map(({ status }) => status)).toEqual([200, 200])
  const now = kept.revision + 1
  expect(same.map(({ body }) => body.kept.revision)).toEqual([now, now])
  // Two who keep another plan at once: one is told, and nothing is overwritten.
  const answers = await Promise.all([keep(page, now, true), keep(other, now, false)])
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 422])

  const more = { id: uuid(), row: 1, check: 'seed_sensor', side: 'centre' }
  const readings = [{ ...more, state: 'watch', chips: ['dirty'], taken_at: at() }]
  await call(page, 'POST', `/api/walks/${walk}/readings`, { readings })
  const decisions = [{ ...more, id: uuid(), action: 'clean', happened_at: at() }]
  await call(page, 'POST', `/api/walks/${walk}/decisions`, { decisions })
  await page.reload()
  await expect(page.getByText('no longer works')).toBeVisible()
  await expect(page.getByText('Row 1, clean: seed sensor: it was decided since')).toBeVisible()
  await page.getByRole('button', { name: 'Save plan' }).click()
  await expect(page.getByText('Still on track.')).toBeVisible()
  await unfold(days)
  await expect(days).toContainText('set by hand')
})

/** That day, or the Monday after a weekend. */
function weekday(day: string): string {
  const of = new Date(`${day}T12:00:00Z`)
  if (of <= new Date()) of.setUTCMonth(of.getUTCMonth() + 1)
  while (of.getUTCDay() % 6 === 0) of.setUTCDate(of.getUTCDate() + 1)
  return of.toISOString().slice(0, 10)
}

test('the rain list goes by the hours and people that there are', async ({ page }) => {
  await signIn(page)
  const { planter } = await decided(page, 'Work in the rain')
  await page.goto(`/planters/${planter}/work`)
  const rain = page.getByRole('region', { name: 'Rain list' })
  await expect(rain).toContainText('min to make the planter safe')
  await rain.getByRole('button', { name: '1 person', exact: true }).click()
  await expect(rain).toContainText('To do')
  const season = page.getByRole('region', { name: 'In the season' })
  await expect(season).toContainText('Spares to carry')
})
