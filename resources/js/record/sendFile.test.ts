import { beforeEach, describe, expect, it, vi } from 'vitest'
import { signInForTest } from '@/testing'
import { linesOf, sendFile } from './sendFile'

it('reads an answer line by line, wherever it is cut', async () => {
  const bytes = new TextEncoder().encode('{"lines":500,"share":0.5}\n{"refused":"Größe"}\n')
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      for (let at = 0; at < bytes.length; at += 7) controller.enqueue(bytes.slice(at, at + 7))
      controller.close()
    },
  })
  const said = []
  for await (const one of linesOf(stream)) said.push(one)
  expect(said).toEqual([{ lines: 500, share: 0.5 }, { refused: 'Größe' }])
})

describe('sending a file', () => {
  const sent: FormData[] = []
  const answer = (text: string, status = 200) =>
    vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
      sent.push(init.body as FormData)
      return Promise.resolve(new Response(text, { status }))
    })
  const file = new File(['Date,Field,Acres'], 'fields.csv')
  const send = (told: number[] = []) =>
    sendFile(1, file, 'acres', 'good', { columns: { date: 0 }, dates: 'dmy' }, [3, 4], ({ share }) => told.push(share))

  beforeEach(() => {
    signInForTest()
    sent.length = 0
  })

  it('tells how far it is and comes back with what was kept', async () => {
    answer('{"lines":500,"share":0.5}\n{"lines":900,"share":0.9}\n{"result":{"kept":995}}\n')
    const told: number[] = []
    expect(await send(told)).toEqual({ kept: 995 })
    expect(told).toEqual([0.5, 0.9])
    expect(sent[0]?.get('leave_out')).toBe('[3,4]')
    expect(sent[0]?.get('mapping')).toBe('{"columns":{"date":0},"dates":"dmy"}')
  })

  it('says in words why it was not taken', async () => {
    answer('{"refused":"The file is empty."}\n')
    await expect(send()).rejects.toThrow('The file is empty.')
    answer('{"message":"Choose a CSV file of up to 15 MB."}', 422)
    await expect(send()).rejects.toThrow('up to 15 MB')
    answer('<html>', 502)
    await expect(send()).rejects.toThrow('The server answered 502.')
    answer('{"lines":500,"share":0.5}\n')
    await expect(send()).rejects.toThrow('nothing comes twice')
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')))
    await expect(send()).rejects.toThrow('Nothing was imported; try again.')
  })
})
