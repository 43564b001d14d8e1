<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries, refreshRecord, useFace } from '@/api/queries'
import { useSeason } from '@/season/queries'
import type { Season } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'
import { say } from '@/words'
import CountdownTable from './CountdownTable.vue'
import FieldsTable from './FieldsTable.vue'
import PacePanel from './PacePanel.vue'
import { seasonEdit, type Typed, typedSeason } from './season'

/** The season that is coming: what is planted where, how long it takes, and what has to be ready by when. */
const { planterId } = defineProps<{ planterId: number }>()
const session = useSession()
const { data: face } = useFace(() => planterId)
const query = useSeason(() => planterId)
const season = computed(() => query.data.value)
const form = ref<Typed>()
const began = ref('')
const { send, refusal, busy } = useSend()
const saved = ref(false)

const isChanged = computed(() => form.value !== undefined && JSON.stringify(form.value) !== began.value)

function begin(from: Season): void {
  form.value = reactive(typedSeason(from))
  began.value = JSON.stringify(form.value)
}
// What somebody is typing is not taken away by news.
watch([season], ([now]) => now && (!isChanged.value || form.value === undefined) && begin(now), {
  immediate: true,
})

async function put(edit: ReturnType<typeof seasonEdit>): Promise<boolean> {
  return send(async () => {
    const params = { path: { planter: planterId } }
    const now = await body(api.PUT('/api/planters/{planter}/season', { params, body: edit }))
    queries.setQueryData(keys.season(planterId), now)
    begin(now)
    await refreshRecord(planterId)
  })
}

async function save(): Promise<void> {
  if (form.value && season.value) saved.value = await put(seasonEdit(form.value, season.value.revision))
}

/** A tick is kept at once, with all that was kept before and nothing that is only typed. */
async function tick(key: string, done: boolean): Promise<void> {
  if (!season.value) return
  const kept = typedSeason(season.value)
  const own = kept.own_items.find(({ id }) => id === key)
  if (own) own.done = done
  else kept.ticked = done ? [...kept.ticked, key as Season['ticked'][number]] : kept.ticked.filter((one) => one !== key)
  await put(seasonEdit(kept, season.value.revision))
}

async function again(): Promise<void> {
  refusal.value = null
  form.value = undefined
  await query.refetch()
}
</script>

<template>
  <planter-page :planter-id="planterId" :of="face" :error="query.error.value" @again="query.refetch()">
    <form v-if="season && form" class="season" novalidate @submit.prevent="save">
      <header v-if="season.said.length > 0">
        <p v-for="one in season.said" :key="one" class="due">
          {{ say(`season_said.${one}`) }}
          <router-link v-if="one === 'no_crew' || one === 'no_rate'" :to="{ name: 'shop' }"
            >Go to shop figures</router-link
          >
        </p>
      </header>
      <countdown-table
        v-model:form="form"
        :planter-id="planterId"
        :season="season"
        :busy="busy || isChanged"
        @tick="tick"
      />
      <fields-table v-model:form="form" :planter-id="planterId" :season="season" :refusal="refusal" />
      <pace-panel v-model:form="form" :planter-id="planterId" :season="season" :refusal="refusal" />
      <div v-if="session.may('set') && (isChanged || refusal || saved)" class="foot">
        <v-btn type="submit" color="primary" size="large" :loading="busy" :disabled="!isChanged">Save season</v-btn>
        <v-btn v-if="isChanged" variant="text" @click="begin(season)">Discard changes</v-btn>
        <v-btn v-if="refusal?.status === 409" variant="outlined" @click="again">Reload</v-btn>
        <refusal-list v-if="refusal" :refusal="refusal" />
        <span v-else-if="saved && !isChanged" role="status">Saved.</span>
      </div>
    </form>
  </planter-page>
</template>

<style scoped>
.season {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  align-items: start;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
}
header {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 20px;
}
header p {
  margin: 0;
}
.due {
  color: var(--ochre);
}
.foot {
  position: sticky;
  bottom: -12px;
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding: 8px 0;
  background: var(--paper);
}
@media (max-width: 1000px) {
  .season {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
