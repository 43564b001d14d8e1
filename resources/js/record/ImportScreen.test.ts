import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { shallowRef } from 'vue'
import { createVuetify } from 'vuetify'
import type { Import, ImportKind, ImportMapping, ImportMode, ImportNow, ImportResult } from '@/api/types'
import { signInForTest } from '@/testing'
import type { Wish } from './imports'

type Sent = { kind: ImportKind; mode: ImportMode; mapping: ImportMapping | null; leaveOut: number[] }
const server = vi.hoisted(() => ({
  sent: [] as unknown[],
  answers: [] as unknown[],
  stopped: [] as number[],
  end: undefined as undefined | ((over: unknown) => void),
}))
vi.mock('./imports', async (original) => ({
  ...(await original<typeof import('./imports')>()),
  useImports: () => ({ data: imports }),
  sendFile: (_: number, { kind, mode, mapping, leaveOut }: Wish) => {
    server.sent.push({ kind, mode, mapping, leaveOut })
    const answer = server.answers.shift() as ImportResult | Error
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(over({ kind, mode }, answer))
  },
  follow: (_: number, first: ImportNow, onProgress: (now: ImportNow) => void) => {
    onProgress(first)
    if (first.result !== null) return Promise.resolve(first)
    return new Promise((end) => (server.end = end))
  },
  cancel: (_: number, { id }: Import) => Promise.resolve(server.stopped.push(id)),
}))
const imports = shallowRef<Import[]>()

function over(fields: Partial<Import>, result: ImportResult | null, more: Partial<ImportNow> = {}): ImportNow {
  return {
    import: {
      id: 7,
      kind: 'acres',
      mode: 'good',
      state: result ? 'done' : 'waiting',
      file_name: 'past.csv',
      kept: result?.kept ?? 0,
      left_out: 0,
      imported_at: '2026-04-28T12:00:00Z',
      imported_by: 'Wren Ellery',
      ...fields,
    },
    progress: null,
    result,
    refused: null,
    ...more,
  }
}
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

async function screen(file: File | null = new File(['Day,Row'], 'past.csv')) {
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
  if (file) {
    const input = wrapper.get<HTMLInputElement>('input[type=file]')
    Object.defineProperty(input.element, 'files', { value: [file] })
    await input.trigger('change')
    await flushPromises()
  }
  return { wrapper, press, says: () => wrapper.text().replace(/\s+/g, ' ') }
}

describe('an import', () => {
  beforeEach(() => {
    signInForTest()
    server.sent.length = server.stopped.length = 0
    imports.value = []
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

  it('names good lines that are unlikely, and leaves them out at a press', async () => {
    const doubts = [
      line(3, 'That is 1 1/4 in larger than new (15 in).'),
      line(9, 'That is 1/2 in larger than new (15 in).'),
    ]
    server.answers = [result({ doubtful: 2, doubts }), result({ good: 2 }), result({ good: 2, kept: 2, done: true })]
    const { press, says } = await screen()
    expect(says()).toContain('2 good lines are unlikely, and come in unless left out')
    expect((await press('Leave these out')).leaveOut).toEqual([3, 9])
    expect(says()).not.toContain('unlikely')
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
    expect(says()).toContain('no headings')
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

  it('takes up what was begun elsewhere, stops it at a press, and says what stays', async () => {
    const { press, says } = await screen(null)
    imports.value = [over({ state: 'taking' }, null).import]
    await flushPromises()
    expect(says()).toContain('The import continues if you leave this page.')
    await press('Stop')
    expect(server.stopped).toEqual([7])
    server.end?.(over({ state: 'cancelled', kept: 4000 }, null))
    await flushPromises()
    expect(says()).toContain('Stopped. 4,000 lines were imported and stay.')
    imports.value = [over({ state: 'cancelled', kept: 4000 }, null).import]
    await flushPromises()
    expect(says()).toContain('4,000 lines kept, then stopped')
  })
})
