<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { api } from '@/api/client'
import { keys, queries, useYard } from '@/api/queries'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { useSession } from '@/session'
import { useSend } from '@/composables/useSend'
import RefusalList from '@/components/RefusalList.vue'
import FirstDay from './FirstDay.vue'
import YardPlanterCard from './YardPlanterCard.vue'

const session = useSession()
const yard = useYard()
const planters = computed(() => yard.data.value ?? [])
const sample = computed(() => planters.value.find((planter) => planter.is_sample))
const { send, refusal, busy } = useSend()

async function removeSample(): Promise<void> {
  await send(() => api.DELETE('/api/sample-planter'))
  await queries.invalidateQueries({ queryKey: keys.yard })
}
</script>

<template>
  <app-bar />
  <main class="yard">
    <div class="head">
      <div>
        <h1>{{ session.me?.workshop }}</h1>
        <p v-if="planters.length > 0" class="quiet">
          {{ planters.length === 1 ? '1 planter' : `${planters.length} planters, most urgent first` }}
        </p>
      </div>
      <v-btn
        v-if="session.may('set')"
        color="primary"
        size="large"
        :prepend-icon="mdiPlus"
        :to="{ name: 'new-planter' }"
        >Add planter</v-btn
      >
    </div>
    <p v-if="session.me?.is_demo" class="sheet caution">
      Demo with made-up planters, people and figures. For your own workshop, stop it and run
      <code>bin/start --own</code>.
    </p>
    <load-problem :error="yard.error.value" @again="yard.refetch()" />
    <first-day v-if="session.may('run')" />
    <p v-if="yard.isSuccess.value && planters.length === 0" class="sheet empty">
      No planters yet. Add one with its rows, spacing and spec sheet, then walk it.
    </p>
    <yard-planter-card v-for="planter in planters" :key="planter.id" :planter="planter" />
    <p v-if="sample && session.may('set')" class="sheet sample">
      <span class="quiet">{{ sample.name }} is made up. It counts in no order, plan or list of the shop.</span>
      <v-btn variant="outlined" :loading="busy" @click="removeSample">Remove sample planter</v-btn>
    </p>
    <refusal-list :refusal="refusal" />
  </main>
</template>

<style scoped>
.sample {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 16px;
}
.yard {
  padding: 20px 24px;
  display: grid;
  gap: 14px;
  max-width: 1280px;
  width: 100%;
  margin: 0 auto;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap);
  justify-content: space-between;
  align-items: center;
}
.empty {
  padding: 32px;
}
@media (max-width: 700px) {
  .yard {
    padding: 12px 10px;
  }
}
</style>
