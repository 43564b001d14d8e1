<script setup lang="ts">
import type { CarriedOver } from '@/api/types'
import { placeKey } from '@/api/types'
import { useUnits } from '@/composables/useUnits'
import { say, sayCheck, sayRow } from '@/words'
import { sayLook } from './findings'

/** What was carried over, with when it comes back; what is due stands first. */
const { carried } = defineProps<{ carried: CarriedOver[] }>()
const { units } = useUnits()
</script>

<template>
  <section class="sheet" aria-label="Carried over">
    <h2>Carried over</h2>
    <ul>
      <li v-for="one in carried" :key="placeKey(one)">
        <strong>{{ sayRow(one.row) }}, {{ sayCheck(one).toLowerCase() }}</strong>
        <span :class="one.due ? 'due' : 'quiet'"
          >{{ one.due ? 'Look at it now: due' : 'Look' }} {{ sayLook(one.decision, units) }}</span
        >
        <span class="quiet"
          >{{ one.decision.season }}, by {{ one.decision.by
          }}{{ one.decision.reason ? `: ${say(`override.${one.decision.reason}`)}` : ''
          }}{{ one.decision.words ? `: “${one.decision.words}”` : '' }}</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 2px 10px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.due {
  color: var(--ochre);
  font-weight: 700;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
