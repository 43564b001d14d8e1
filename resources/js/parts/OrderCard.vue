<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, reactive, ref, watch } from 'vue'
import { api, body } from '@/api/client'
import type { OnShelf, Order, OrderEdit } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useDays } from '@/composables/useDays'
import { useMoney } from '@/composables/useMoney'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { weekDate } from '@/dates'
import { useSession } from '@/session'
import { say } from '@/words'

/** One order: a draft to send off, or what has come of it. */
const { order, shelf } = defineProps<{ order: Order; shelf: OnShelf[] }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const { atLeast } = useMoney()
const { today } = useDays()
const { send, refusal, busy } = useSend()
const came = reactive<Record<number, number | null>>({})
const once = useOnce()
const quantities = ref<Record<number, number | null>>({})
watch(
  () => order.revision,
  () => {
    const of = order.lines.map(({ part_type_id, quantity }) => [part_type_id, quantity])
    quantities.value = Object.fromEntries(of)
  },
  { immediate: true },
)
const isDraft = computed(() => order.state === 'draft' && session.may('set'))
const expected = ref(order.expected_on ?? '')

const nameOf = (type: number) => shelf.find(({ part_type_id }) => part_type_id === type)?.name ?? `part ${type}`
const sum = computed(() => ({
  cost: order.lines.reduce((cost, { price, quantity }) => cost + (price ?? 0) * quantity, 0),
  unpriced: order.lines.filter(({ price }) => price === null).length,
}))

const edit = (more: Partial<OrderEdit>) =>
  send(async () => {
    const { revision, state, supplier_id, note, ordered_on, lines } = order
    const sent = { revision, state, supplier_id, note, ordered_on, expected_on: expected.value || null, lines, ...more }
    await body(api.PUT('/api/orders/{order}', { params: { path: { order: order.id } }, body: sent }))
    emit('changed')
  })

/** As many of each as stand in the draft now; of what was emptied none. */
const drafted = () =>
  order.lines
    .map((line) => ({ ...line, quantity: quantities.value[line.part_type_id] ?? 0 }))
    .filter(({ quantity }) => quantity > 0)

async function receive(): Promise<void> {
  const typed = order.lines.flatMap(({ part_type_id }) => {
    const quantity = came[part_type_id] ?? null
    return quantity === null ? [] : [{ part_type_id, quantity }]
  })
  await send(async () => {
    if (typed.length === 0) return
    const happened_at = new Date().toISOString()
    const moves = once.of(typed, () => typed.map((move) => ({ ...move, id: uuid(), happened_at })))
    await body(api.POST('/api/orders/{order}/receive', { params: { path: { order: order.id } }, body: { moves } }))
    once.taken()
    for (const { part_type_id } of moves) came[part_type_id] = null
    emit('changed')
  })
}
</script>

<template>
  <article class="sheet" :aria-label="`Order, ${order.supplier ?? 'no supplier yet'}`">
    <div class="head">
      <h3>{{ order.supplier ?? 'No supplier yet' }}</h3>
      <span class="quiet"
        >{{ say(`order_state.${order.state}`)
        }}<template v-if="order.ordered_on"> on {{ weekDate(order.ordered_on) }}</template
        ><template v-if="order.expected_on">, expected {{ weekDate(order.expected_on) }}</template
        >, {{ atLeast(sum) }}</span
      >
      <a :href="`/api/orders/${order.id}/order.pdf`" target="_blank">Print</a>
      <a :href="`/api/orders/${order.id}/order.csv`" download>Export CSV</a>
    </div>
    <ul>
      <li v-for="line in order.lines" :key="line.part_type_id">
        <span
          ><template v-if="!isDraft">{{ line.quantity }} × </template>{{ nameOf(line.part_type_id) }}</span
        >
        <template v-if="isDraft">
          <span />
          <number-field
            v-model="quantities[line.part_type_id]"
            bare
            whole
            :high="100_000"
            :label="`How many: ${nameOf(line.part_type_id)}`"
          />
        </template>
        <template v-if="order.state === 'ordered'">
          <span class="quiet">{{ line.received ?? 0 }} received</span>
          <number-field
            v-if="(line.received ?? 0) < line.quantity"
            v-model="came[line.part_type_id]"
            bare
            whole
            :low="1"
            :high="100_000"
            :placeholder="`${line.quantity - (line.received ?? 0)}`"
            :label="`Received now: ${nameOf(line.part_type_id)}`"
          />
        </template>
      </li>
    </ul>
    <refusal-list :refusal="refusal" />
    <div class="head">
      <template v-if="isDraft">
        <v-btn
          color="primary"
          :loading="busy"
          @click="edit({ state: 'ordered', ordered_on: today(), lines: drafted() })"
          >Ordered today</v-btn
        >
        <v-btn variant="text" :disabled="busy" @click="edit({ state: 'closed' })">Delete draft</v-btn>
      </template>
      <template v-else-if="order.state === 'ordered'">
        <v-btn v-if="session.may('record')" color="primary" :loading="busy" @click="receive">Put on the shelf</v-btn>
        <template v-if="session.may('set')">
          <input v-model="expected" type="date" aria-label="Rest expected on" />
          <v-btn variant="outlined" @click="edit({})">Back-ordered</v-btn>
          <v-btn variant="text" @click="edit({ state: 'closed' })">Nothing more is coming</v-btn>
        </template>
      </template>
    </div>
  </article>
</template>

<style scoped>
article {
  display: grid;
  gap: 6px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
a {
  min-height: var(--touch);
  display: inline-flex;
  align-items: center;
  color: var(--accent);
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 110px 90px;
  align-items: center;
  gap: 10px;
  min-height: 40px;
  border-top: 1px solid var(--line);
}
input {
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
}
li input {
  width: 90px;
}
</style>
