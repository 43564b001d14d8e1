<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { useYard } from '@/api/queries'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { useSession } from '@/session'
import YardPlanterCard from './YardPlanterCard.vue'

const session = useSession()
const yard = useYard()
const planters = computed(() => yard.data.value ?? [])
</script>

<template>
  <app-bar />
  <main class="yard">
    <div class="head">
      <div>
        <h1>{{ session.me?.workshop }}</h1>
        <p v-if="planters.length > 0" class="quiet">
          {{ planters.length === 1 ? '1 planter' : `${planters.length} planters, the most pressing first` }}
        </p>
      </div>
      <v-btn
        v-if="session.may('set')"
        color="primary"
        size="large"
        :prepend-icon="mdiPlus"
        :to="{ name: 'new-planter' }"
        >New planter</v-btn
      >
    </div>
    <p v-if="session.me?.is_demo" class="sheet caution">
      The demo: planters, people and figures are made up. For your own workshop stop it and run
      <code>bin/start --own</code>.
    </p>
    <load-problem :error="yard.error.value" @again="yard.refetch()" />
    <p v-if="yard.isSuccess.value && planters.length === 0" class="sheet empty">
      No planter yet. Make one with its rows, spacing and spec sheet; then walk it.
    </p>
    <yard-planter-card v-for="planter in planters" :key="planter.id" :planter="planter" />
  </main>
</template>

<style scoped>
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
