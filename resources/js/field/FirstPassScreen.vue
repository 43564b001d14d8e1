<script setup lang="ts">
import { computed, ref } from 'vue'
import { useFace } from '@/api/queries'
import { useFirstPass } from '@/field/queries'
import PlanterPage from '@/components/PlanterPage.vue'
import WaitingList from '@/components/WaitingList.vue'
import AdjustRows from './AdjustRows.vue'
import DigSheet from './DigSheet.vue'
import DiagnosisPanel from './DiagnosisPanel.vue'
import DugPass from './DugPass.vue'
import ScreenFaces from '@/components/ScreenFaces.vue'
import FirstPassSteps from './FirstPassSteps.vue'
import HandTurn from './HandTurn.vue'
import SignOffs from './SignOffs.vue'

/** Turn by hand, plant 50 ft, dig, adjust, dig again, sign off. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const told = useFirstPass(() => planterId)
const chosen = ref<number>()
const row = computed({
  get: () => chosen.value ?? told.data.value?.to_dig[0]?.row ?? 1,
  set: (of) => (chosen.value = of),
})
const last = computed(() => told.data.value?.passes[0])
const earlier = computed(() => told.data.value?.passes.slice(1) ?? [])
/** What was dug, so that a diagnosis is made anew when it changes. */
const dug = computed(() => (told.data.value?.passes ?? []).flatMap(({ rows }) => rows.map(({ id }) => id)).join())
</script>

<template>
  <planter-page
    :planter-id="planterId"
    :of="face"
    :selected="row"
    :select="(chosen) => (row = chosen)"
    :error="told.error.value"
    @again="told.refetch()"
  >
    <screen-faces of="Field" :planter-id="planterId" />
    <div v-if="told.data.value && face" class="pass">
      <waiting-list :planter-id="planterId" what="dig" class="wide" />
      <first-pass-steps :steps="told.data.value.steps" class="wide" />
      <div class="side">
        <hand-turn :planter-id="planterId" :row-count="face.planter.row_count" :signed="told.data.value.sign_offs" />
        <dig-sheet
          v-model:row="row"
          :planter-id="planterId"
          :row-count="face.planter.row_count"
          :told="told.data.value"
        />
      </div>
      <div class="side">
        <dug-pass v-if="last" :pass="last" @dig="(of) => (row = of)" />
        <adjust-rows v-if="last" :planter-id="planterId" :pass="last" :levers="told.data.value.levers" />
        <p v-if="!last" class="sheet">
          Plant 50 ft, stop, and dig the rows shown. Enter each seed’s depth and the distance to the next. Ustrel then
          shows if depth and rate are right, and what to change.
        </p>
        <diagnosis-panel
          :planter-id="planterId"
          :row="row"
          :walk="face.walk?.finished_at === null ? face.walk.id : undefined"
          :dug="dug"
        />
        <sign-offs :planter-id="planterId" :signed="told.data.value.sign_offs" :open="told.data.value.open" />
        <details v-if="earlier.length > 0" class="sheet">
          <summary>Earlier passes</summary>
          <dug-pass v-for="pass in earlier" :key="pass.pass" :pass="pass" @dig="(of) => (row = of)" />
        </details>
        <details v-if="told.data.value.before" class="sheet">
          <summary>Season {{ told.data.value.before.season }}</summary>
          <dug-pass
            v-for="pass in told.data.value.before.passes"
            :key="pass.pass"
            :pass="pass"
            @dig="(of) => (row = of)"
          />
        </details>
      </div>
    </div>
  </planter-page>
</template>

<style scoped>
.pass {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  align-items: start;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
}
.wide {
  grid-column: 1 / -1;
}
.side {
  display: grid;
  gap: 14px;
}
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  cursor: pointer;
}
details :deep(.sheet) {
  padding: 0;
  border: 0;
}
@media (max-width: 900px) {
  .pass {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
