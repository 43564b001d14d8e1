<script setup lang="ts">
import { ref } from 'vue'
import { useEmergence } from '@/field/queries'
import { useFace } from '@/api/queries'
import type { Symptom } from '@/api/types'
import PlanterPage from '@/components/PlanterPage.vue'
import WaitingList from '@/components/WaitingList.vue'
import { weekDate } from '@/dates'
import { sayEvenness } from './evenness'
import { sayRows } from '@/plan/findings'
import DiagnosisPanel from './DiagnosisPanel.vue'
import ScreenFaces from '@/components/ScreenFaces.vue'
import StandForm from './StandForm.vue'
import YieldCurves from './YieldCurves.vue'

/** What came up, against what was planted; how evenly, and which rows are short. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const told = useEmergence(() => planterId)
const row = ref(1)
/** The short row that is being diagnosed. */
const asked = ref<{ row: number; symptom: Symptom }>()
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
    <div v-if="told.data.value && face" class="emergence">
      <waiting-list :planter-id="planterId" what="standCount" class="wide" />
      <stand-form v-model:row="row" :planter-id="planterId" :row-count="face.planter.row_count" />
      <div class="side">
        <p v-if="told.data.value.fields.length === 0" class="sheet">
          Nothing counted yet. Counts show each row’s stand, hours to come up, and which rows are short.
        </p>
        <section
          v-for="of in told.data.value.fields"
          :key="`${of.field} ${of.planted_on}`"
          class="sheet"
          :aria-label="of.field"
        >
          <h2>{{ of.field }}, planted {{ weekDate(of.planted_on) }}</h2>
          <p>
            <strong>{{ of.stand }}</strong>
            <span v-if="of.expected && of.share !== null" class="quiet">
              · {{ Math.round(100 * of.share) }}% of {{ of.expected }} expected from germination</span
            >
          </p>
          <p v-if="of.cost">{{ of.cost }}</p>
          <p v-if="of.short.length > 0" class="due">
            {{ sayRows(of.short) }}: thinner than the others, more than chance explains. Dig there.
          </p>
          <ul>
            <li v-for="one in of.rows" :key="one.row">
              <button type="button" :aria-label="`Count row ${one.row}`" @click="row = one.row">
                Row {{ one.row }}
              </button>
              <strong>{{ one.stand }}</strong>
              <span class="quiet"
                >{{ one.plants }} on {{ one.length }}
                <template v-if="one.half_by !== null">· {{ sayEvenness(one, of.aim_hours) }}</template
                ><template v-else-if="one.counts < 2">· count again tomorrow to see how even it is</template></span
              >
              <span v-if="one.against !== null" class="due"
                >{{ Math.round(100 * one.against) }}% of the others
                <v-btn
                  v-if="one.symptom"
                  variant="text"
                  :aria-label="`What’s wrong: row ${one.row}`"
                  @click="asked = { row: one.row, symptom: one.symptom }"
                  >What’s wrong?</v-btn
                ></span
              >
            </li>
          </ul>
        </section>
        <diagnosis-panel
          v-if="asked"
          :key="`${asked.row} ${asked.symptom}`"
          :planter-id="planterId"
          :row="asked.row"
          :walk="face.walk?.id"
          :first="[asked.symptom]"
          dug=""
        />
        <yield-curves
          v-if="told.data.value.fields.length > 0"
          :planter-id="planterId"
          :curves="told.data.value.curves"
          :crops="[...new Set(told.data.value.fields.map(({ crop }) => crop).filter(Boolean))]"
        />
      </div>
    </div>
  </planter-page>
</template>

<style scoped>
.emergence {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr);
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
h2,
p {
  margin: 4px 0;
}
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 70px 140px minmax(0, 1fr);
  align-items: center;
  gap: 0 10px;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
li > button {
  min-height: var(--touch);
  font: inherit;
  font-weight: 700;
  text-align: left;
  color: var(--accent);
  background: none;
  border: 0;
  cursor: pointer;
}
li > .due {
  grid-column: 3 / -1;
}
.due {
  color: var(--ochre);
}
@media (max-width: 900px) {
  .emergence {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    grid-template-columns: 76px minmax(0, 1fr);
  }
  li > .quiet,
  li > .due {
    grid-column: 1 / -1;
  }
}
</style>
