import { expect, it } from 'vitest'
import { linesOf } from './sendFile'

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
