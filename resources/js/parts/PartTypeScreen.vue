<script setup lang="ts">
import { computed, ref } from 'vue'
import { usePartLives, usePartTypes } from '@/parts/queries'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { useUnits } from '@/composables/useUnits'
import { say } from '@/words'
import LifeCurves from './LifeCurves.vue'
import { sayLeftOut, sayMedian } from './lives'
import PartTypeForm from './PartTypeForm.vue'

/** One part type: what it is, and the lives that it has really reached on all the shop's planters. */
const { typeId } = defineProps<{ typeId: number }>()
const types = usePartTypes()
const against = ref<number | null>(null)
const lives = usePartLives(
  () => typeId,
  () => against.value ?? undefined,
)
const { distance } = useUnits()
const editing = ref(false)
const type = computed(() => types.data.value?.find(({ id }) => id === typeId))
const others = computed(() =>
  (types.data.value ?? []).filter(
    ({ id, slots }) => id !== typeId && slots.some((slot) => type.value?.slots.includes(slot)),
  ),
)
const curves = computed(() => {
  const found = lives.data.value
  return found ? [found.curve, ...(found.against ? [found.against] : [])] : []
})
const verdict = computed(() => {
  const comparison = lives.data.value?.comparison
  if (!comparison) return ''
  if (comparison.too_few) return 'Too few to compare: fewer than five of one type have worn out or failed.'
  const longer = curves.value.find(({ part_type_id }) => part_type_id === comparison.longer)
  return longer ? `${longer.name} lasts longer, more than chance explains.` : 'No clear difference yet.'
})
</script>

<template>
  <app-bar />
  <main class="page">
    <load-problem :error="types.error.value ?? lives.error.value" @again="(types.refetch(), lives.refetch())" />
    <template v-if="type">
      <section class="sheet">
        <div class="head">
          <h1>
            {{ type.name }} <span class="quiet">{{ type.own_number }}</span>
          </h1>
          <v-btn variant="outlined" @click="editing = true">Change</v-btn>
        </div>
        <p>
          For the {{ type.slots.map((slot) => say(`slot.${slot}`)).join(', ') }}; {{ type.per_row }} a row{{
            type.price === null ? '' : `, ${type.price.toFixed(2)} each`
          }}{{ type.lead_days === null ? '' : `, ${type.lead_days} days to get`
          }}{{ type.life_m === null ? '' : `, expected to run ${distance(type.life_m)} of furrow` }}.
        </p>
        <p v-if="type.notes" class="quiet">{{ type.notes }}</p>
      </section>
      <section v-if="lives.data.value" class="sheet">
        <div class="head">
          <h2>How long they last</h2>
          <v-select
            v-if="others.length > 0"
            v-model="against"
            class="against"
            label="Compare with"
            density="compact"
            clearable
            :items="others.map(({ id, name }) => ({ value: id, title: name }))"
          />
        </div>
        <p v-if="lives.data.value.curve.parts === 0">
          None fitted yet with a known distance. Once some are fitted and worn out, this shows how long they last.{{
            sayLeftOut(lives.data.value.curve)
          }}
        </p>
        <template v-else>
          <ul>
            <li v-for="curve in curves" :key="curve.part_type_id">
              <strong>{{ curve.name }}:</strong> {{ sayMedian(curve, distance) }}{{ sayLeftOut(curve) }}
            </li>
          </ul>
          <p v-if="verdict" class="verdict">{{ verdict }}</p>
          <life-curves :curves="curves" />
          <p class="quiet">
            Share still running after that much furrow, with 95% intervals. Parts changed early or still running count
            as far as they got; used parts count from when they were fitted.
          </p>
        </template>
      </section>
      <part-type-form v-if="editing" :type="type" @saved="editing = false" @close="editing = false" />
    </template>
  </main>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
.against {
  max-width: 320px;
}
ul {
  list-style: none;
  padding: 0;
}
.verdict {
  font-weight: 700;
  margin: 6px 0;
}
</style>
