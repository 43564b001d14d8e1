import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import type { ImportKind, ImportMapping, ImportResult } from '@/api/types'
import { signInForTest } from '@/testing'
import type { Mode } from './sendFile'

type Sent = { kind: ImportKind; mode: Mode; mapping: ImportMapping | null; leaveOut: number[] }
const server = vi.hoisted(() => ({ sent: [] as unknown[], answers: [] as unknown[] }))
vi.mock('./sendFile', () => ({
  sendFile: (_: number, __: File, kind: ImportKind, mode: Mode, mapping: ImportMapping | null, leaveOut: number[]) => {
    server.sent.push({ kind, mode, mapping, leaveOut })
    const answer = server.answers.shift()
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer)
  },
}))
const { default: ImportScreen } = await import('./ImportScreen.vue')

const line = (number: number, message: string) => ({ line: number, message, text: `line ${number}` })
function result(fields: Partial<ImportResult> = {}): ImportResult {
  return {
    has_header: true,
    columns: ['Day', 'Row'],
    fields: [{ field: 'date', needed: true }],
    mapping: { columns: { date: 0 }, dates: 'auto' },
    missing: [],
    samples: [],
    good: 4,
    bad: 0,
    kept: 4,
    known: 0,
    errors: [],
    doubtful: 0,
    doubts: [],
    done: false,
    already: null,
    ...fields,
  }
}

async function screen() {
  const wrapper = mount(ImportScreen, {
    props: { planterId: 1 },
    global: {
      plugins: [createVuetify(), VueQueryPlugin],
      stubs: { PlanterPage: { template: '<main><slot /></main>' }, ColumnChoice: true },
    },
  })
  const press = async (name: string | RegExp) => {
    const all = wrapper.findAll('button')
    const found = all.find((one) => (typeof name === 'string' ? one.text() === name : name.test(one.text())))
    if (found === undefined) throw new Error(`No button ${name} among ${all.map((one) => one.text()).join(', ')}`)
    await found.trigger('click')
    await flushPromises()
    return server.sent.at(-1) as Sent
  }
  const input = wrapper.get<HTMLInputElement>('input[type=file]')
  Object.defineProperty(input.element, 'files', { value: [new File(['Day,Row'], 'past.csv')] })
  await input.trigger('change')
  await flushPromises()
  return { wrapper, press, says: () => wrapper.text().replace(/\s+/g, ' ') }
}

describe('an import', () => {
  beforeEach(() => {
    signInForTest()
    server.sent.length = 0
  })

  it('looks first, and offers all lines where all are good, or the good ones', async () => {
    server.answers = [result(), result({ good: 3, bad: 1, errors: [line(3, 'There is no row 40.')] }), result()]
    const { press, says } = await screen()
    expect(server.sent).toEqual([{ kind: 'acres', mode: 'preview', mapping: null, leaveOut: [] }])
    expect(says()).toContain('Import all 4 lines')
    const again = await press('Look again')
    expect(again).toMatchObject({ mode: 'preview', mapping: { columns: { date: 0 }, dates: 'auto' } })
    expect(says()).toContain('Line 3. There is no row 40.')
    expect((await press('Import the 3 good lines')).mode).toBe('good')
  })

  it('names good lines that are hard to believe, and leaves them out at a press', async () => {
    const doubts = [
      line(3, 'That is 1 1/4 in larger than new (15 in).'),
      line(9, 'That is 1/2 in larger than new (15 in).'),
    ]
    server.answers = [result({ doubtful: 2, doubts }), result({ good: 2 }), result({ good: 2, kept: 2, done: true })]
    const { press, says } = await screen()
    expect(says()).toContain('2 good lines are hard to believe, and come in unless left out')
    expect((await press('Leave these out')).leaveOut).toEqual([3, 9])
    expect(says()).not.toContain('hard to believe')
    expect(await press('Import all 2 lines')).toMatchObject({ mode: 'whole', leaveOut: [3, 9] })
    expect(says()).toContain('2 good lines kept')
  })

  it('forgets the lines to leave out where the file is taken for something else', async () => {
    server.answers = [result({ doubtful: 1, doubts: [line(3, 'Larger than new.')] }), result(), result()]
    const { press } = await screen()
    await press('Leave these out')
    expect(await press(/^Readings/)).toEqual({ kind: 'readings', mode: 'preview', mapping: null, leaveOut: [] })
  })

  it('says what is missing and offers nothing to import yet', async () => {
    server.answers = [result({ good: 0, kept: 0, missing: ['date'], has_header: false })]
    const { wrapper, says } = await screen()
    expect(says()).toContain('Choose a column for: Date.')
    expect(says()).toContain('no line of column names')
    const take = wrapper.findAll('button').find((one) => one.text() === 'Import all 0 lines')
    expect(take?.attributes('disabled')).toBeDefined()
  })

  it('keeps what was seen where the next look fails, and says why', async () => {
    server.answers = [result(), new Error('The server does not answer. Nothing was imported; try again.')]
    const { press, says } = await screen()
    await press('Import all 4 lines')
    expect(says()).toContain('Nothing was imported; try again.')
    expect(says()).toContain('Import all 4 lines')
  })
})
