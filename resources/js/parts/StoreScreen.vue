<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import { useOrders, useStore, useSuppliers } from '@/parts/queries'
import type { OnShelf, StockMove, Supplier } from '@/api/types'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useDays } from '@/composables/useDays'
import { useMoney } from '@/composables/useMoney'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { weekDate } from '@/dates'
import { useSession } from '@/session'
import MoveDialog from './MoveDialog.vue'
import OrderCard from './OrderCard.vue'
import SupplierDialog from './SupplierDialog.vue'
import SupplierLine from './SupplierLine.vue'
import ScreenFaces from '@/components/ScreenFaces.vue'

/** The shelf held against what was decided: what is short, by when to order, the orders, and who supplies. */
const session = useSession()
const store = useStore()
const suppliers = useSuppliers()
const orders = useOrders()
const { money, atLeast } = useMoney()
const { today } = useDays()
const { send, refusal, busy } = useSend()
const once = useOnce()
const editing = ref<Supplier | 'new'>()
const moving = ref<OnShelf>()

const shelf = computed(() => store.data.value ?? [])
const short = computed(() => shelf.value.filter(({ to_order }) => to_order > 0))
const sum = computed(() => ({
  cost: short.value.reduce((cost, { price, to_order }) => cost + (price ?? 0) * to_order, 0),
  unpriced: short.value.filter(({ price }) => price === null).length,
}))
const open = computed(() => (orders.data.value ?? []).filter(({ state }) => state !== 'closed'))
const again = () =>
  Promise.all([keys.store, keys.orders, keys.suppliers].map((queryKey) => queries.invalidateQueries({ queryKey })))

async function draft(): Promise<void> {
  await send(async () => {
    await body(api.POST('/api/orders/draft'))
    await again()
  })
}

async function move(kind: StockMove['kind'], quantity: number): Promise<void> {
  const typed = { part_type_id: moving.value?.part_type_id as number, kind, quantity }
  const move = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
  await body(api.POST('/api/store/moves', { body: { moves: [move] } }))
  once.taken()
  await again()
}

const onHand = ({ on_hand }: OnShelf) => (on_hand === null ? 'not counted' : String(on_hand))
function byWhen(part: OnShelf): string {
  if (part.to_order === 0) return ''
  if (part.lead_days === null) return 'lead time unknown'
  return part.order_by === null ? '' : `by ${weekDate(part.order_by)}`
}
</script>

<template>
  <app-bar />
  <main class="page">
    <screen-faces of="Parts" />
    <div class="head">
      <h1>Parts on hand</h1>
      <span v-if="short.length > 0" class="quiet"
        >{{ short.length === 1 ? '1 kind' : `${short.length} kinds` }} to order, {{ atLeast(sum) }}</span
      >
      <v-btn
        v-if="session.may('set') && short.some(({ to_draft }) => to_draft > 0)"
        color="primary"
        :loading="busy"
        @click="draft"
        >Draft orders</v-btn
      >
    </div>
    <load-problem :error="store.error.value" @again="store.refetch()" />
    <refusal-list :refusal="refusal" />
    <section v-if="open.length > 0" aria-label="Orders" class="orders">
      <h2>Orders</h2>
      <order-card v-for="order in open" :key="order.id" :order="order" :shelf="shelf" @changed="again" />
    </section>
    <section class="sheet scroll" aria-label="The shelf">
      <p v-if="store.data.value && shelf.length === 0" class="quiet">Add part types first, then count your stock.</p>
      <table v-else>
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col" class="number">On hand</th>
            <th scope="col" class="number wide">Needed</th>
            <th scope="col" class="number wide">On order</th>
            <th scope="col" class="number">To order</th>
            <th scope="col">Order</th>
            <th scope="col" class="number wide">Price</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="part in shelf" :key="part.part_type_id">
            <th scope="row">
              {{ part.name }} <span class="quiet own">{{ part.own_number }}</span>
            </th>
            <td class="number">
              {{ onHand(part) }}<span v-if="part.miscount" class="due"> count again: more went out than was there</span>
            </td>
            <td class="number wide">
              {{ part.needed || '' }} <span class="quiet">{{ part.for.map(({ planter }) => planter).join(', ') }}</span>
            </td>
            <td class="number wide">{{ part.on_order || '' }}</td>
            <td class="number">
              <strong>{{ part.to_order || '' }}</strong>
            </td>
            <td :class="part.order_by !== null && part.order_by < today() ? 'due' : ''">{{ byWhen(part) }}</td>
            <td class="number wide">
              {{ part.price === null ? 'not known' : money(part.price) }}
              <span v-if="part.in_stock !== null" class="quiet">supplier has {{ part.in_stock }}</span>
            </td>
            <td>
              <v-btn
                v-if="session.may('record')"
                variant="text"
                :aria-label="`Count or move: ${part.name}`"
                @click="moving = part"
                >Count</v-btn
              >
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section class="sheet" aria-label="Suppliers">
      <h2>Suppliers</h2>
      <supplier-line
        v-for="supplier in suppliers.data.value"
        :key="supplier.id"
        :supplier="supplier"
        @edit="editing = supplier"
        @asked="again"
      />
      <v-btn v-if="session.may('set')" class="add" variant="outlined" @click="editing = 'new'">Add supplier</v-btn>
    </section>
    <move-dialog v-if="moving" :title="moving.name" :keep="move" @close="moving = undefined" />
    <supplier-dialog
      v-if="editing"
      :supplier="editing === 'new' ? undefined : editing"
      :shelf="shelf"
      @saved="((editing = undefined), again())"
      @close="editing = undefined"
    />
  </main>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
}
.head .v-btn {
  margin-left: auto;
}
.scroll {
  overflow-x: auto;
  padding: 4px 14px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 2px 10px 2px 0;
  text-align: left;
  border-top: 1px solid var(--line);
}
thead th,
thead td {
  border-top: 0;
  font-weight: 400;
  color: var(--ink-2);
}
.own {
  white-space: nowrap;
}
.number {
  text-align: right;
}
.due {
  color: var(--ochre);
  font-weight: 700;
}
.orders {
  display: grid;
  gap: 10px;
}
@media (max-width: 700px) {
  .wide {
    display: none;
  }
}
.add {
  margin-top: 8px;
}
</style>
