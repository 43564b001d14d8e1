import { expect, type Page } from '@playwright/test'
import { call, expectFaultless, signIn, test } from './support'

const PASSWORD = 'wet gravel under the hitch'

/** The link that is shown now, as an address of this server. */
async function shownLink(page: Page): Promise<string> {
  const link = await page.getByLabel('The link', { exact: true }).inputValue()
  await page.getByRole('button', { name: 'Close' }).click()
  return new URL(link).pathname + new URL(link).hash
}

test('an empty installation asks for what it needs', async ({ page }) => {
  // What an installation says that nobody has set up; the rest is bin/start's own test.
  await page.route('**/api/welcome', (route) => route.fulfill({ json: { is_set_up: false, is_demo: false } }))
  await page.goto('/set-up#a-link')
  await expect(page.getByLabel('Workshop', { exact: true })).toBeVisible()
  await expectFaultless(page)
  await page.getByRole('button', { name: 'Create workshop' }).click()
  await expect(page.locator('.v-messages__message').first()).toBeVisible()
  await expect(page.locator('.v-progress-circular')).toHaveCount(0)
  await expectFaultless(page)
})

test('somebody is invited, joins as a helper, forgets the password, and is let in no more', async ({
  page,
  elsewhere,
}) => {
  await signIn(page, 'sable@lowmoor.example')
  await page.goto('/people')
  await page.getByRole('button', { name: 'Invite someone' }).click()
  const invite = page.getByRole('dialog', { name: 'Invite someone' })
  await invite.getByRole('radio', { name: /^Helper/ }).check()
  await invite.getByLabel('Email (only').fill('ash')
  await invite.getByRole('button', { name: 'Create link' }).click()
  await expect(invite.getByText('Write an email address')).toBeVisible()
  await invite.getByLabel('Email (only').fill('ash@lowmoor.example')
  await invite.getByRole('button', { name: 'Create link' }).click()
  await expect(page.getByRole('img', { name: /QR code/ })).toBeVisible()
  const link = await shownLink(page)
  await expect(page.getByRole('button', { name: 'Cancel the invitation of ash@lowmoor.example' })).toBeVisible()
  await expectFaultless(page)

  const ash = await elsewhere()
  await ash.goto(link)
  await expect(ash.getByRole('heading', { name: 'Join Lowmoor Planter Services' })).toBeVisible()
  await expect(ash.getByLabel('Your email')).toHaveValue('ash@lowmoor.example')
  await ash.getByLabel('Your name').fill('Ash Moor')
  await ash.getByLabel('Password', { exact: true }).fill('lowmoor1234567')
  await ash.getByRole('button', { name: 'Join', exact: true }).click()
  await expect(ash.getByText('Too easy to guess')).toBeVisible()
  await expectFaultless(ash)
  await ash.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await ash.getByRole('button', { name: 'Join', exact: true }).click()
  await expect(ash.getByRole('heading', { name: 'Lowmoor Planter Services', exact: true })).toBeVisible()
  // A helper has no planters to make and no people to run.
  await expect(ash.getByRole('link', { name: 'Add planter' })).toHaveCount(0)
  await ash.goto('/people')
  await expect(ash.getByText('Helpers record only')).toBeVisible()

  const again = await elsewhere()
  await again.goto(link)
  await expect(again.getByText('This invitation was already used')).toBeVisible()

  await page.reload()
  await page.getByRole('button', { name: 'More about Ash Moor' }).click()
  await page.getByText('Create password link').click()
  const reset = await shownLink(page)
  await again.goto(reset)
  await again.getByLabel('Password', { exact: true }).fill(`${PASSWORD} again`)
  await again.getByRole('button', { name: 'Set password' }).click()
  await expect(again.getByRole('heading', { name: 'Lowmoor Planter Services', exact: true })).toBeVisible()
  // Signed out where the old password was used.
  await ash.goto('/')
  await expect(ash.getByRole('button', { name: 'Sign in' })).toBeVisible()

  await page.getByRole('button', { name: 'More about Ash Moor' }).click()
  await page.getByText('Remove access').click()
  await expect(page.getByText('Access removed')).toBeVisible()
  await again.reload()
  await expect(again.getByRole('button', { name: 'Sign in' })).toBeVisible()
})

test('a guest sees one planter, changes nothing, and no more once the link is ended', async ({ page, elsewhere }) => {
  await signIn(page)
  await page.goto('/people')
  await page.getByRole('button', { name: 'Invite a guest' }).click()
  const form = page.getByRole('dialog', { name: 'Invite a guest' })
  await form.getByRole('combobox', { name: 'Planter' }).press('ArrowDown')
  await page.getByRole('option', { name: 'Hask Hill' }).click()
  await form.getByLabel('Who it is for').fill('Hollis Pell')
  await form.getByRole('button', { name: 'Create link' }).click()
  const link = await shownLink(page)

  const guest = await elsewhere()
  await guest.goto(link)
  await expect(guest.getByRole('row', { name: /Opener blades/ }).first()).toBeVisible()
  const tabs = guest.getByRole('navigation', { name: 'Planter', exact: true })
  await expect(tabs.getByRole('link')).toHaveText(['Board', 'Decide', 'Field'])
  await guest.getByRole('link', { name: 'Ustrel, all planters' }).click()
  await expect(guest.getByRole('main').getByRole('link', { name: 'Hask Hill' })).toBeVisible()
  await expect(guest.getByRole('main').getByRole('link', { name: 'Quill Bottom' })).toHaveCount(0)
  await page.getByRole('button', { name: 'End the link of Hollis Pell' }).click()
  await expect(page.getByRole('button', { name: 'End the link of Hollis Pell' })).toHaveCount(0)
  await guest.reload()
  await expect(guest.getByRole('button', { name: 'Sign in' })).toBeVisible()
  await guest.goto(link)
  await expect(guest.getByText('This link has ended')).toBeVisible()
})

test('of forty guesses side by side five get an answer, and one invitation makes one person', async ({
  page,
  elsewhere,
}) => {
  await signIn(page, 'sable@lowmoor.example')
  const stranger = await elsewhere()
  await stranger.request.get('/sanctum/csrf-cookie')
  const guess = (n: number) =>
    call(stranger, 'POST', '/api/sign-in', {
      email: `${n % 2 ? 'Nobody' : 'nobody'}${test.info().retry}@${n % 2 ? 'tollgate' : 'TOLLGATE'}.example`,
      password: `guess ${n}`,
    })
  const answers = await Promise.all(Array.from({ length: 40 }, (_, n) => guess(n)))
  expect(answers.map(({ status }) => status).filter((status) => status !== 429)).toEqual([422, 422, 422, 422, 422])

  const made = await call<{ link: string }>(page, 'POST', '/api/people/invitations', { role: 'helper' })
  const link = made.body.link.split('#')[1]
  const devices = await Promise.all(Array.from({ length: 5 }, () => elsewhere()))
  await Promise.all(devices.map((device) => device.request.get('/sanctum/csrf-cookie')))
  const joined = await Promise.all(
    devices.map((device, n) =>
      call(device, 'POST', '/api/invitations/accept', {
        link,
        name: 'Fen',
        email: `fen${n}@lowmoor.example`,
        password: PASSWORD,
      }),
    ),
  )
  expect(joined.map(({ status }) => status).sort()).toEqual([201, 422, 422, 422, 422])
  const { body } = await call<{ people: { name: string }[] }>(page, 'GET', '/api/people')
  expect(body.people.filter(({ name }) => name === 'Fen')).toHaveLength(1)
})

test('six new-password links for one person at once: all are made, the last is good; what is too large is said in words', async ({
  page,
  elsewhere,
}) => {
  await signIn(page, 'sable@lowmoor.example')
  const made = await call<{ link: string }>(page, 'POST', '/api/people/invitations', { role: 'helper' })
  const device = await elsewhere()
  await device.request.get('/sanctum/csrf-cookie')
  const email = `rill${test.info().retry}@lowmoor.example`
  const join = { link: made.body.link.split('#')[1], name: 'Rill', email, password: PASSWORD }
  const { body: rill } = await call<{ id: number }>(device, 'POST', '/api/invitations/accept', join)
  const links = await Promise.all(
    Array.from({ length: 6 }, () => call<{ link: string }>(page, 'POST', `/api/people/${rill.id}/reset-link`)),
  )
  expect(links.map(({ status }) => status)).toEqual([201, 201, 201, 201, 201, 201])
  const resets: number[] = []
  for (const { body } of links) {
    const reset = { link: body.link.split('#')[1], password: `${PASSWORD} once more` }
    resets.push((await call(device, 'POST', '/api/password/reset', reset)).status)
  }
  expect(resets.sort()).toEqual([200, 422, 422, 422, 422, 422])

  const large = await call<{ message: string }>(page, 'POST', '/api/planters', { name: 'x'.repeat(17 * 1024 * 1024) })
  expect(large).toEqual({
    status: 413,
    body: { message: 'That is too large: 16 MB at most. Send a smaller picture or file.' },
  })
  // A manual alone may be larger; of one that is too large it is said how large it can be.
  const buffer = Buffer.alloc(51 * 1024 * 1024)
  const parts = { name: 'Large', planter_id: '1', file: { name: 'a.pdf', mimeType: 'application/pdf', buffer } }
  const manual = await call<{ message: string }>(page, 'POST', '/api/manuals', undefined, parts)
  expect([manual.status, manual.body.message.slice(0, 60)]).toEqual([
    413,
    'That file is too large. A manual can have up to 40 MB: split',
  ])
})

// Alone: an owner who is one no more takes the open invitations along, those of the other tests too.
test('of two owners who demote each other one stays, and what is taken back lets nobody in @alone', async ({
  page,
  elsewhere,
}) => {
  await signIn(page, 'sable@lowmoor.example')
  const me = await call<{ id: number }>(page, 'GET', '/api/me')
  const invite = async (role: string, email?: string) => {
    const made = await call<{ link: string }>(page, 'POST', '/api/people/invitations', { role, email })
    return made.body.link.split('#')[1]
  }
  const second = await elsewhere()
  await second.request.get('/sanctum/csrf-cookie')
  const join = (device: Page, link: string | undefined, email: string) =>
    call<{ id: number }>(device, 'POST', '/api/invitations/accept', { link, name: 'Moss', email, password: PASSWORD })
  const other = await join(second, await invite('owner'), 'moss@lowmoor.example')
  expect(other.status).toBe(201)
  for (let round = 0; round < 5; round++) {
    const demote = (by: Page, whom: number, role: string) => call(by, 'PATCH', `/api/people/${whom}`, { role })
    const [first, back] = await Promise.all([
      demote(page, other.body.id, 'technician'),
      demote(second, me.body.id, 'technician'),
    ])
    expect([first.status, back.status].filter((status) => status === 200)).toHaveLength(1)
    const [winner, loser] = first.status === 200 ? [page, other.body.id] : [second, me.body.id]
    expect((await demote(winner, loser, 'owner')).status).toBe(200)
  }

  for (let round = 0; round < 5; round++) {
    // By its email: others are invited beside it.
    const email = `late${round}@lowmoor.example`
    const link = await invite('helper', email)
    const { body } = await call<{ invitations: { id: number; email: string }[] }>(page, 'GET', '/api/people')
    const id = body.invitations.find((one) => one.email === email)?.id
    const device = await elsewhere()
    await device.request.get('/sanctum/csrf-cookie')
    const [joined, taken] = await Promise.all([
      join(device, link, email),
      call(page, 'DELETE', `/api/people/invitations/${id}`),
    ])
    expect([
      [201, 409],
      [422, 204],
    ]).toContainEqual([joined.status, taken.status])
  }
  // Who has left lets nobody in any more.
  const open = await call<{ link: string }>(second, 'POST', '/api/people/invitations', { role: 'helper' })
  await call(page, 'PATCH', `/api/people/${other.body.id}`, { is_active: false })
  const late = await elsewhere()
  await late.request.get('/sanctum/csrf-cookie')
  expect((await join(late, open.body.link.split('#')[1], 'toolate@lowmoor.example')).status).toBe(422)
})
