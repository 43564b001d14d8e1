<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Check, OwnCheck, SpecSheet, Station } from '@/api/types'
import { useSend } from '@/composables/useSend'
import { learnNames, say, wordsOf } from '@/words'
import { useSession } from '@/session'

const session = useSession()
/** The checks that the shop has added to a sheet of its own, and the form that adds one. */
const { sheet } = defineProps<{ sheet: SpecSheet }>()
const { send, refusal, busy } = useSend()
const isAdding = ref(false)
const empty = (): OwnCheck => ({
  name: '',
  station: 'opener_blades',
  kind: 'condition',
  sided: false,
  limit: '',
  how: '',
})
const form = reactive(empty())
const KINDS = [
  { value: 'condition', title: 'A condition' },
  { value: 'yes_no', title: 'Yes or no' },
  { value: 'at_most', title: 'A number, at most' },
  { value: 'at_least', title: 'A number, at least' },
]
const stations = (wordsOf('station') as Station[]).map((value) => ({ value, title: say(`station.${value}`) }))
const own = computed(() => sheet.checks.filter((check) => check.own !== null))
const takesLimit = computed(() => form.kind === 'at_most' || form.kind === 'at_least')

const path = { specSheet: sheet.id }

async function kept(changed: SpecSheet): Promise<void> {
  learnNames(changed.checks)
  queries.setQueryData(keys.specSheet(sheet.id), changed)
  await queries.invalidateQueries()
}

const add = () =>
  send(async () => {
    const sent = { ...form, limit: takesLimit.value ? form.limit : null }
    await kept(await body(api.POST('/api/spec-sheets/{specSheet}/own-checks', { params: { path }, body: sent })))
    Object.assign(form, empty())
    isAdding.value = false
  })

const remove = (check: Check) =>
  send(async () => {
    const params = { path: { ...path, check: check.key } }
    await kept(await body(api.DELETE('/api/spec-sheets/{specSheet}/own-checks/{check}', { params })))
  })

const asks = ({ kind, rule }: Check) => {
  const of = kind === 'setting' ? (rule === 'at_most' ? 'at_most' : 'at_least') : kind
  return KINDS.find(({ value }) => value === of)?.title ?? ''
}
</script>

<template>
  <section class="sheet own">
    <h2>Your own checks</h2>
    <p v-if="own.length === 0" class="quiet">
      Checks this sheet does not have: a clamp, a bracket, a clearance. Every walk of planters on this sheet then asks
      for them, row by row.
    </p>
    <ul v-else>
      <li v-for="check in own" :key="check.key">
        <div>
          <strong>{{ check.own?.name }}</strong>
          <span class="quiet"
            >{{ say(`station.${check.station}`) }}; {{ asks(check).toLowerCase()
            }}{{ check.sides.length > 1 ? '; left and right' : '' }}</span
          >
        </div>
        <v-btn
          v-if="session.may('set')"
          variant="text"
          :disabled="busy"
          :aria-label="`Remove ${check.own?.name}`"
          @click="remove(check)"
          >Remove</v-btn
        >
      </li>
    </ul>
    <div v-if="isAdding" class="adding" role="group" aria-label="New check">
      <v-text-field
        v-model="form.name"
        label="Name, with unit"
        placeholder="Hose clamp; spring length, cm"
        maxlength="60"
        :error-messages="refusal?.about('name')"
        @keydown.enter.prevent="add"
      />
      <v-select
        v-model="form.station"
        label="Where you are made"
        :items="stations"
        :error-messages="refusal?.about('station')"
      />
      <v-select v-model="form.kind" label="Type" :items="KINDS" :error-messages="refusal?.about('kind')" />
      <v-text-field
        v-if="takesLimit"
        v-model="form.limit"
        :label="form.kind === 'at_most' ? 'Change above' : 'Change below'"
        inputmode="decimal"
        :error-messages="refusal?.about('limit')"
        @keydown.enter.prevent="add"
      />
      <v-text-field
        v-model="form.how"
        class="wide"
        label="How to do it"
        maxlength="200"
        :error-messages="refusal?.about('how')"
        @keydown.enter.prevent="add"
      />
      <v-checkbox v-model="form.sided" label="Left and right" hide-details />
      <div class="buttons">
        <v-btn color="primary" size="large" :loading="busy" @click="add">Add</v-btn>
        <v-btn variant="text" size="large" @click="isAdding = false">Cancel</v-btn>
      </div>
    </div>
    <v-btn v-else-if="session.may('set')" class="start" variant="outlined" size="large" @click="isAdding = true"
      >Add a check</v-btn
    >
    <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
  </section>
</template>

<style scoped>
.own {
  display: grid;
  gap: 10px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: var(--touch);
  border-top: 1px solid var(--line);
}
li span {
  display: block;
}
.adding {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 10px 20px;
}
.wide,
.buttons {
  grid-column: 1 / -1;
}
.start {
  justify-self: start;
}
.buttons {
  display: flex;
  gap: 8px;
}
</style>
