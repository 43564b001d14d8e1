import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { signInForTest } from '@/testing'

const network = vi.hoisted(() => ({ answer: (): unknown => ({}), sent: [] as string[] }))
vi.mock('@/api/client', async (original) => ({
  ...(await original<object>()),
  api: {
    POST: (path: string, { params, body }: { params: { path: { planter: number } }; body: FormData }) => {
      network.sent.push(`${path} ${params.path.planter} ${(body.get('file') as File).name}`)
      return Promise.resolve().then(() => ({ data: network.answer() }))
    },
  },
}))

const { Refusal } = await import('@/api/client')
const { default: RowsCsv } = await import('./RowsCsv.vue')

function choose(name: string) {
  const wrapper = mount(RowsCsv, { props: { planterId: 7 } })
  const input = wrapper.get('input')
  Object.defineProperty(input.element, 'files', { value: [new File(['row,firmer'], name)], configurable: true })
  return { wrapper, done: input.trigger('change').then(flushPromises) }
}

describe('rows as a table', () => {
  beforeEach(() => {
    signInForTest()
    network.sent.length = 0
  })

  it('fills the form from a file and says that nothing is saved yet', async () => {
    const table = { spec_sheet_id: 1, equipment: {}, other_rows: [], parked_rows: [2] }
    network.answer = () => table
    const { wrapper, done } = choose('rows.csv')
    await done
    expect(network.sent).toEqual(['/api/planters/{planter}/rows 7 rows.csv'])
    expect(wrapper.emitted('read')).toEqual([[table]])
    expect(wrapper.get('[role=status]').text()).toBe('Filled in from rows.csv. Look it over, then save.')
    expect(wrapper.get('a').attributes('href')).toBe('/api/planters/7/rows.csv')
  })

  it('says what is wrong with a file, and fills in nothing', async () => {
    const message = 'Line 2: there is no row “9”. This planter has rows 1 to 8.'
    network.answer = () => {
      throw new Refusal(422, message, { file: [message] })
    }
    const { wrapper, done } = choose('rows.csv')
    await done
    expect(wrapper.get('[role=alert]').text()).toBe(message)
    expect(wrapper.emitted('read')).toBeUndefined()
    expect(wrapper.find('[role=status]').exists()).toBe(false)
  })
})
