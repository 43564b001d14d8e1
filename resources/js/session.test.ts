import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import { device } from './offline/device'
import { keep, lastKept } from './offline/remember'
import { useSession } from './session'
import { meForTest } from './testing'

// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
const network = vi.hoisted(() => {
  const network: { answer: () => Promise<Response> } = { answer: () => Promise.reject(new TypeError('no server')) }
  globalThis.fetch = () => network.answer()
  return network
})
const says = (status: number, body: unknown) => (network.answer = async () => Response.json(body, { status }))

beforeEach(async () => {
  setActivePinia(createPinia())
  await (await device()).clear('answers')
})

it('lets in who was here last before the server has answered, and takes over what it then says', async () => {
  await keep('me', meForTest)
  let answer: (response: Response) => void = () => undefined
  network.answer = () => new Promise((resolve) => (answer = resolve))
  const session = useSession()
  const { said } = await session.load()
  expect(session.me?.name).toBe('Wren')
  answer(Response.json({ ...meForTest, name: 'Wren A.' }))
  await said
  expect(session.me?.name).toBe('Wren A.')
})

it('waits for the server where nobody is known to the device', async () => {
  says(200, meForTest)
  const session = useSession()
  const { said } = await session.load()
  expect(session.me).toBeNull()
  await said
  expect(session.me?.name).toBe('Wren')
})

it('sends out who was let in where the session has ended, and forgets them', async () => {
  await keep('me', meForTest)
  says(401, { message: 'signed out' })
  const session = useSession()
  session.lapsed = true
  await (
    await session.load()
  ).said
  expect(session.me).toBeNull()
  expect(session.ended).toBe(true)
  expect(session.lapsed).toBe(false)
  // What was asked for before, and is answered late, brings no second sign-in over the first.
  session.lapsed = true
  expect(session.lapsed).toBe(false)
  expect(await lastKept('me')).toBeUndefined()
})

it('does not undo who has come meanwhile by an answer about the one before', async () => {
  await keep('me', meForTest)
  let answer: (response: Response) => void = () => undefined
  network.answer = () => new Promise((resolve) => (answer = resolve))
  const session = useSession()
  const { said } = await session.load()
  session.me = { ...meForTest, id: 2, name: 'Idris' }
  answer(Response.json({ message: 'signed out' }, { status: 401 }))
  await said
  expect(session.me.name).toBe('Idris')
  expect(session.ended).toBe(false)
})
