<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { usePartTypes } from '@/parts/queries'
import type { PartType } from '@/api/types'
import AppBar from '@/components/AppBar.vue'
import FractionText from '@/components/FractionText.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { useUnits } from '@/composables/useUnits'
import { say, wordsOf } from '@/words'
import PartTypeForm from './PartTypeForm.vue'
import { useSession } from '@/session'
import ScreenFaces from '@/components/ScreenFaces.vue'

const session = useSession()
/** The workshop's own catalogue of part types. */
const router = useRouter()
const types = usePartTypes()
const { distance, length } = useUnits()
const adding = ref(false)

/** By the first slot that they fit, front to back. */
const groups = computed(() =>
  wordsOf('slot')
    .map((slot) => ({ slot, types: (types.data.value ?? []).filter((type) => type.slots[0] === slot) }))
    .filter((group) => group.types.length > 0),
)

function open(type: PartType): void {
  void router.push({ name: 'part-type', params: { type: type.id } })
}
</script>

<template>
  <app-bar />
  <main class="page">
    <screen-faces of="Parts" />
    <div class="head">
      <h1>Part types</h1>
      <v-btn v-if="session.may('set')" color="primary" @click="adding = true">Add part type</v-btn>
    </div>
    <load-problem :error="types.error.value" @again="types.refetch()" />
    <p v-if="types.data.value?.length === 0" class="sheet">
      Nothing here yet. Add the parts you fit, with price and lead time. Ustrel then tracks how long they last on all
      your planters.
    </p>
    <section v-for="group in groups" :key="group.slot" class="sheet">
      <h2>{{ say(`slot.${group.slot}`) }}</h2>
      <ul>
        <li v-for="type in group.types" :key="type.id">
          <button type="button" @click="open(type)">
            <strong
              >{{ type.name }} <span class="quiet number">{{ type.own_number }}</span></strong
            >
            <span class="quiet">{{
              type.slots.length > 1
                ? `also ${type.slots
                    .slice(1)
                    .map((slot) => say(`slot.${slot}`))
                    .join(', ')}`
                : ''
            }}</span>
            <span>
              <fraction-text v-if="type.new_size_mm !== null" :text="`${length(type.new_size_mm)} new`" />
            </span>
            <span class="quiet">{{ type.life_m === null ? '' : `expected ${distance(type.life_m)}` }}</span>
            <span>{{ type.price === null ? '' : `${type.price.toFixed(2)} each` }}</span>
            <span class="quiet">{{ type.lead_days === null ? '' : `in ${type.lead_days} days` }}</span>
          </button>
        </li>
      </ul>
    </section>
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
h2::first-letter {
  text-transform: uppercase;
}
ul {
  list-style: none;
  padding: 0;
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
