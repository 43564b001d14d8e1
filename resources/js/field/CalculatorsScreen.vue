<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useFace } from '@/api/queries'
import PlanterPage from '@/components/PlanterPage.vue'
import { useAsked } from '@/composables/useAsked'
import { useUnits } from '@/composables/useUnits'
import { say } from '@/words'
import CalculatorForm from './CalculatorForm.vue'
import ScreenFaces from '@/components/ScreenFaces.vue'
import { useCalculators } from './queries'

/** Reckoned with this planter's figures; nothing is kept unless it is asked for. */
const { planterId } = defineProps<{ planterId: number }>()
const { data: face } = useFace(() => planterId)
const { units } = useUnits()
const calculators = useCalculators(() => planterId, units)
const chosen = useLocalStorage('ustrel.calculator', 'spacing')
useAsked('calculator', (key) => (chosen.value = key))
const calculator = computed(() => {
  const all = calculators.data.value?.calculators ?? []
  return all.find(({ key }) => key === chosen.value) ?? all[0]
})
</script>

<template>
  <planter-page :planter-id="planterId" :of="face" :error="calculators.error.value" @again="calculators.refetch()">
    <screen-faces of="Field" :planter-id="planterId" />
    <div v-if="calculator" class="calculators">
      <nav class="sheet list" aria-label="Calculators">
        <button
          v-for="{ key } in calculators.data.value?.calculators"
          :key="key"
          type="button"
          :aria-pressed="key === calculator.key"
          @click="chosen = key"
        >
          {{ say(`calc.${key}`) }}
        </button>
      </nav>
      <v-select
        v-model="chosen"
        class="choose"
        label="Calculator"
        hide-details
        :items="
          calculators.data.value?.calculators.map(({ key }) => ({ value: key as string, title: say(`calc.${key}`) }))
        "
      />
      <calculator-form
        :key="`${calculator.key} ${units}`"
        :planter-id="planterId"
        :calculator="calculator"
        :units="units"
      />
    </div>
  </planter-page>
</template>

<style scoped>
.calculators {
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr);
  align-items: start;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
}
.list {
  display: grid;
  max-height: calc(100dvh - 210px);
  padding: 6px;
  overflow-y: auto;
}
.list button {
  min-height: var(--touch);
  padding: 0 12px;
  font: inherit;
  text-align: left;
  color: inherit;
  background: none;
  border: 0;
  border-radius: 6px;
  cursor: pointer;
}
.list button[aria-pressed='true'] {
  font-weight: 700;
  color: var(--accent);
  background: var(--accent-weak);
}
.choose {
  display: none;
}
@media (max-width: 900px) {
  .calculators {
    grid-template-columns: minmax(0, 1fr);
  }
  .list {
    display: none;
  }
  .choose {
    display: block;
  }
}
</style>
