import { flushPromises, mount } from '@vue/test-utils'
import { ref } from 'vue'
import { beforeEach, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import { signInForTest } from '@/testing'

const { deliver, told } = vi.hoisted(() => ({ deliver: vi.fn(), told: { run: null as object | null } }))
vi.mock('@/offline/outbox', () => ({ useOutbox: () => ({ deliver, waiting: [] }) }))
vi.mock('@/api/queries', async (original) => ({
  ...(await original<object>()),
  useFace: () => ({ data: ref({ planter: { sections: [8], row_count: 8 }, walk: null }) }),
}))
vi.mock('./queries', async (original) => ({
  ...(await original<object>()),
  useWatch: () => ({ data: ref({ shared: [], proposed: [], before: [] }), error: ref(null), refetch: vi.fn() }),
  useWatchNow: () => ({ data: ref(told), error: ref(null), refetch: vi.fn() }),
  watched: vi.fn(),
}))
const { default: WatchScreen } = await import('./WatchScreen.vue')

const row = (of: number) => ({ row: of, state: 'shut', figures: [] })
const show = () =>
  mount(WatchScreen, {
    props: { planterId: 1 },
    global: {
      plugins: [createVuetify()],
      stubs: {
        PlanterPage: { template: '<div><slot /></div>' },
        WatchStrip: { template: '<button class="six" @click="$emit(\'select\', 6)" />', emits: ['select'] },
        FieldFaces: true,
        AlarmList: true,
        SharedRowsForm: true,
        WatchForm: true,
        StandsPanel: true,
        DiagnosisPanel: true,
      },
    },
  })

beforeEach(() => {
  deliver.mockReset().mockResolvedValue(undefined)
  signInForTest()
  told.run = {
    id: 'r',
    state: 'running',
    field: '',
    practice: false,
    down: true,
    mph: '5 mph',
    monitor_quiet: 0,
    shut: [2, 6],
    rows: [1, 2, 3, 4, 5, 6, 7, 8].map(row),
    refused_lines: 0,
    refused: '',
    alarms: [],
    passes: [],
  }
})

it('lets a row that was shut plant again, and leaves the others shut', async () => {
  const screen = show()
  await screen.get('.six').trigger('click')
  await screen
    .findAll('button')
    .find((one) => one.text() === 'Row is planting again')
    ?.trigger('click')
  await flushPromises()
  expect(deliver.mock.lastCall?.[0]).toMatchObject({
    what: 'watch',
    planter: 1,
    body: { run: 'r', entries: [{ kind: 'opened', row: 6 }] },
  })
})

it('offers it only for a row that is shut', () => {
  expect(show().text()).not.toContain('Row is planting again')
})
