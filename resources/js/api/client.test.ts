import { expect, it, vi } from 'vitest'
import { api, body, Refusal } from './client'

// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
const network = vi.hoisted(() => {
  const network = { answer: () => new Response('') }
  globalThis.fetch = () => Promise.resolve(network.answer())
  return network
})

async function refusal(status: number, said: object): Promise<Refusal> {
  network.answer = () => Response.json(said, { status })
  const error = await body(api.GET('/api/workshop')).catch((error: unknown) => error)
  expect(error).toBeInstanceOf(Refusal)
  return error as Refusal
}

it('marks each field that somebody else has changed meanwhile, and says it once', async () => {
  const told = await refusal(409, { message: 'Changed meanwhile.', changed: ['shop_rate', 'crew'] })
  expect(told.message).toBe('Changed meanwhile.')
  expect(told.about('shop_rate')).toBe('Changed meanwhile.')
  expect(told.about('crew')).toBe('Changed meanwhile.')
  expect(told.about('stop_cost')).toBeUndefined()
})

it('tells what is wrong with a field in the words of the server', async () => {
  const told = await refusal(422, { message: 'Not saved.', errors: { shop_rate: ['Give an amount.'] } })
  expect(told.about('shop_rate')).toBe('Give an amount.')
})
