<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { usePartTypes } from '@/api/queries'
import type { PartType } from '@/api/types'
import AppBar from '@/components/AppBar.vue'
import FractionText from '@/components/FractionText.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { useUnits } from '@/composables/useUnits'
import { say } from '@/words'
import PartTypeForm from './PartTypeForm.vue'

/** The workshop's own catalogue of part types. */
const router = useRouter()
const types = usePartTypes()
const { distance, length } = useUnits()
const adding = ref(false)

function open(type: PartType): void {
  void router.push({ name: 'part-type', params: { type: type.id } })
}
</script>

<template>
  <app-bar />
  <main class="page">
    <div class="head">
      <h1>Part types</h1>
      <v-btn color="primary" @click="adding = true">Add a part type</v-btn>
    </div>
    <load-problem :error="types.error.value" @again="types.refetch()" />
    <p v-if="types.data.value?.length === 0" class="sheet">
      Nothing here yet. Add what you fit, with its price and lead time: its lives are then counted on all your planters.
    </p>
    <ul v-else class="sheet">
      <li v-for="type in types.data.value" :key="type.id">
        <button type="button" @click="open(type)">
          <strong
            >{{ type.name }} <span class="quiet number">{{ type.own_number }}</span></strong
          >
          <span class="quiet">{{ type.slots.map((slot) => say(`slot.${slot}`)).join(', ') }}</span>
          <span>
            <fraction-text v-if="type.new_size_mm !== null" :text="`${length(type.new_size_mm)} new`" />
          </span>
          <span class="quiet">{{ type.life_m === null ? '' : `expected ${distance(type.life_m)}` }}</span>
          <span>{{ type.price === null ? '' : `${type.price.toFixed(2)} each` }}</span>
          <span class="quiet">{{ type.lead_days === null ? '' : `in ${type.lead_days} days` }}</span>
        </button>
      </li>
    </ul>
    <part-type-form v-if="adding" @saved="open" @close="adding = false" />
  </main>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 8px;
}
ul {
  list-style: none;
}
li + li {
  border-top: 1px solid var(--line);
}
li > button {
  display: grid;
  grid-template-columns: 2fr 1.6fr 0.8fr 1.2fr 0.8fr 0.6fr;
  align-items: center;
  gap: 10px;
  width: 100%;
  min-height: var(--touch);
  text-align: left;
}
li .number {
  white-space: nowrap;
}
@media (max-width: 700px) {
  li > button {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 16px;
    padding: 8px 0;
  }
  li > button > :first-child,
  li > button > :nth-child(2) {
    flex-basis: 100%;
  }
  li > button > :empty {
    display: none;
  }
}
</style>
