<script setup lang="ts">
import { computed } from 'vue'
import type { Equipment } from '@/api/types'
import { makeUp } from '@/unit/catalogue'
import { say } from '@/words'

/** Targets of this planter itself: where the band lies, how hard each tire is. Empty, the spec sheet's holds. */
const wanted = defineModel<Record<string, string>>({ required: true })
const { units, about } = defineProps<{
  /** What the rows carry, each make-up once. */
  units: Equipment[]
  about: (field: string) => string | undefined
}>()

// words: check
const checks = computed(() => [...new Set(units.flatMap((unit) => makeUp(unit).wanted))])
const EXAMPLES: Record<string, string> = { fertilizer_band_offset: '2 in', fertilizer_band_depth: '2 in' }
</script>

<template>
  <fieldset v-if="checks.length > 0" class="wanted">
    <legend>Targets of this planter</legend>
    <p class="quiet">Leave a field empty to use the spec sheet. A band level with the seed is 0 in.</p>
    <div class="fields">
      <v-text-field
        v-for="check in checks"
        :key="check"
        :model-value="wanted[check] ?? ''"
        :label="say(`check.${check}`)"
        :hint="`Example: ${EXAMPLES[check] ?? '55 psi'}`"
        persistent-hint
        :error-messages="about(`wanted.${check}`)"
        @update:model-value="wanted = { ...wanted, [check]: $event }"
      />
    </div>
  </fieldset>
</template>

<style scoped>
.wanted {
  border: 0;
  padding: 0;
}
legend {
  font-weight: 700;
  font-size: 1.0625rem;
  padding-bottom: 10px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 12px 16px;
  margin-top: 12px;
}
</style>
