<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { v7 as uuid } from 'uuid'
import { computed, reactive, ref, watch } from 'vue'
import type { DigEntry, FirstPass } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { useOutbox } from '@/offline/outbox'
import { say, wordsOf } from '@/words'
import FigureList from './FigureList.vue'
import { useGround } from './useGround'

/** One row after the other is dug and written down, with gloves on. */
const { planterId, rowCount, told } = defineProps<{
  planterId: number
  rowCount: number
  told: FirstPass
}>()
const row = defineModel<number>('row', { required: true })
const { units } = useUnits()
const outbox = useOutbox()
const once = useOnce()
const ground = useGround(planterId)
const { send, refusal, busy } = useSend()
const aims = useLocalStorage(`ustrel.dig-${planterId}`, { target: '', spacing: '' })
const pass = ref(told.passes[0]?.pass ?? 1)
const form = reactive({
  depths: [] as string[],
  spacings: [] as string[],
  seen: [] as string[],
  note: '',
  mark: null as number | null,
})
/** Stays for the rows of one spot. */
const spot = ref('')
const residue = ref<DigEntry['residue']>(ground.value.residue)
if (aims.value.target === '') aims.value.target = told.aims.depth ?? ''
const isSure = ref(false)
const done = ref('')
const depths = ref<InstanceType<typeof FigureList>>()
const spacings = ref<InstanceType<typeof FigureList>>()
const dug = computed(
  () => new Set(told.passes.find((one) => one.pass === pass.value)?.rows.map((one) => one.row) ?? []),
)
const scale = computed(() => told.depth_scales[row.value - 1] ?? 'notches')
/** The server asked whether a figure is right. */
const isAsked = computed(() => refusal.value !== null && JSON.stringify(refusal.value.errors).includes('does not fit'))
watch(row, () => Object.assign(form, { depths: [], spacings: [], seen: [], note: '', mark: null }))

function toggle(sign: string): void {
  form.seen = form.seen.includes(sign) ? form.seen.filter((one) => one !== sign) : [...form.seen, sign]
}
async function save(): Promise<void> {
  // What stands typed and was not added counts too.
  depths.value?.add()
  spacings.value?.add()
  done.value = ''
  const typed = {
    pass: pass.value,
    row: row.value,
    field: ground.value.field,
    target: aims.value.target,
    ...(aims.value.spacing.trim() === '' ? {} : { spacing: aims.value.spacing }),
    units: units.value,
    spot: spot.value,
    residue: residue.value ?? null,
    ...form,
    seen: form.seen as DigEntry['seen'],
    ...(isSure.value ? { confirmed: true } : {}),
  }
  const sent = { row: row.value, form: JSON.stringify(form) }
  const body = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
  if (!(await send(() => outbox.deliver({ what: 'dig', id: body.id, planter: planterId, body })))) return
  once.taken()
  isSure.value = false
  done.value = `Row ${sent.row}, pass ${typed.pass}: saved.`
  // Whoever has gone on meanwhile is not interrupted.
  if (row.value !== sent.row || JSON.stringify(form) !== sent.form) return
  Object.assign(form, { depths: [], spacings: [], seen: [], note: '', mark: null })
  const next = told.to_dig.find((one) => one.row > row.value && !dug.value.has(one.row))
  if (next) row.value = next.row
}
</script>

<template>
  <form id="dig" class="sheet asks" novalidate aria-label="Dig sheet" @submit.prevent="save">
    <h1>2. Dig row {{ row }}</h1>
    <p class="caution">{{ say('caution.digging') }} {{ say('caution.first') }}</p>
    <p class="quiet">
      Good means within {{ told.aims.depth_band }} of the depth you want, and {{ told.aims.rate_band }} of the spacing
      set.
    </p>
    <div class="rows" role="group" aria-label="Row">
      <button
        v-for="one in told.to_dig"
        :key="one.row"
        type="button"
        :aria-pressed="row === one.row"
        :aria-label="`Row ${one.row}, ${say(`dig_why.${one.why}`)}${dug.has(one.row) ? ', dug' : ''}`"
        @click="row = one.row"
      >
        <strong>{{ one.row }}{{ dug.has(one.row) ? ' ✓' : '' }}</strong>
        <span>{{ say(`dig_why.${one.why}`) }}</span>
      </button>
    </div>
    <div class="aims">
      <v-text-field
        :model-value="row"
        label="Row"
        type="number"
        min="1"
        :max="rowCount"
        hide-details
        @update:model-value="row = Math.min(rowCount, Math.max(1, Number($event) || 1))"
      />
      <v-select
        v-model="pass"
        label="Pass"
        hide-details
        :items="Array.from({ length: (told.passes[0]?.pass ?? 0) + 1 }, (_, at) => at + 1)"
      />
      <v-text-field
        v-model="aims.target"
        label="Depth wanted"
        :placeholder="units === 'in' ? '2' : '50'"
        hide-details
      />
      <v-text-field
        v-model="aims.spacing"
        label="Spacing set"
        :placeholder="units === 'in' ? '6 1/2' : '165'"
        hide-details
      />
    </div>
    <figure-list
      ref="depths"
      v-model="form.depths"
      :label="`Depths, ${units}`"
      :placeholder="units === 'in' ? '1 3/4, 2' : '45, 50'"
    />
    <figure-list
      ref="spacings"
      v-model="form.spacings"
      :label="`Spacings, ${units}`"
      :placeholder="units === 'in' ? '6 1/2, 6' : '165, 150'"
    />
    <div class="signs" role="group" aria-label="In the furrow">
      <button
        v-for="sign in wordsOf('dig_sign')"
        :key="sign"
        type="button"
        :aria-pressed="form.seen.includes(sign)"
        @click="toggle(sign)"
      >
        {{ say(`dig_sign.${sign}`) }}
      </button>
    </div>
    <div class="spot">
      <v-text-field v-model="spot" label="Spot" placeholder="hilltop" maxlength="80" hide-details />
      <v-select
        v-model="residue"
        label="Residue"
        clearable
        hide-details
        :items="wordsOf('residue').map((value) => ({ value, title: say(`residue.${value}`) }))"
      />
      <number-field
        v-model="form.mark"
        :label="`${say(`depth_mark.${scale}`)} it is set to`"
        :high="100"
        :places="scale === 'holes' ? 0 : 3"
        hide-details
      />
    </div>
    <v-text-field v-model="form.note" label="Note" maxlength="300" hide-details />
    <refusal-list :refusal="refusal" />
    <v-checkbox v-if="isAsked || isSure" v-model="isSure" label="This row is right" hide-details />
    <p v-if="done" role="status">{{ done }}</p>
    <div class="actions">
      <v-btn type="submit" color="primary" size="large" :loading="busy">Save row {{ row }}</v-btn>
    </div>
  </form>
</template>

<style scoped>
form {
  max-height: none;
}
.rows,
.signs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.rows button,
.signs button {
  min-height: var(--touch);
  padding: 2px 12px;
  font: inherit;
  color: inherit;
  background: none;
  border: 1px solid var(--line);
  border-radius: 6px;
  cursor: pointer;
}
.rows button {
  display: grid;
  font-size: 0.8rem;
}
.rows strong {
  font-size: 1rem;
}
button[aria-pressed='true'] {
  font-weight: 700;
  color: var(--accent);
  background: var(--accent-weak);
  border-color: var(--accent);
}
.spot {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
}
.aims {
  display: grid;
  grid-template-columns: 84px 84px minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px;
}
/* What is typed grows; the button stays at hand. */
.actions {
  position: sticky;
  bottom: 0;
  padding: 8px 0;
  background: rgb(var(--v-theme-surface));
}
@media (max-width: 700px) {
  .aims,
  .spot {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
