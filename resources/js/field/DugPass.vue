<script setup lang="ts">
import type { DugRow, FirstPass } from '@/api/types'
import { say } from '@/words'
import { sayTurn } from './dig'
import RateFound from './RateFound.vue'

/** What one pass was like, row by row, and what to turn. */
const { pass } = defineProps<{ pass: FirstPass['passes'][number] }>()
const emit = defineEmits<{ dig: [row: number] }>()
const percent = (share: number) => `${Math.round(100 * share)}%`
const saySpacing = (of: DugRow) =>
  [
    of.cv === null ? '' : `CV ${percent(of.cv)}`,
    of.missed === null ? '' : `${percent(of.missed)} missed`,
    of.multiple === null ? '' : `${percent(of.multiple)} doubled`,
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <section class="sheet" :aria-label="`Pass ${pass.pass}`">
    <h2>Pass {{ pass.pass }}{{ pass.field && `, ${pass.field}` }}</h2>
    <p class="quiet">Depth wanted: {{ pass.target }}. A row is called different only if it is more than chance.</p>
    <p v-if="pass.set_before.length > 0">Changed since the last pass: {{ pass.set_before.join('; ') }}.</p>
    <rate-found v-if="pass.rate" :rate="pass.rate" />
    <p v-for="said in pass.closing" :key="said" class="due">{{ said }}</p>
    <ul>
      <li v-for="of in pass.rows" :key="of.id">
        <button type="button" :aria-label="`Dig row ${of.row}`" @click="emit('dig', of.row)">Row {{ of.row }}</button>
        <div>
          <strong>{{ of.depth ?? 'no depths' }}</strong>
          <span v-if="of.depth_sd" class="quiet"> scatter {{ of.depth_sd }}</span>
          <span v-if="of.before" class="quiet">, before {{ of.before }}</span>
          <span v-if="of.differs !== null" class="due">{{
            of.differs ? 'really deeper than the others' : 'really shallower than the others'
          }}</span>
          <span v-if="of.spacing" class="line"
            >{{ of.spacing }} apart <span class="quiet">{{ saySpacing(of) }}</span></span
          >
          <span v-if="of.uneven" class="due">spacing less even than you want</span>
          <span v-if="of.population" class="line quiet">{{
            [of.population, of.rate?.said].filter(Boolean).join(', ')
          }}</span>
          <span v-if="of.seen.length > 0" class="line">{{
            of.seen.map((sign) => say(`dig_sign.${sign}`)).join(', ')
          }}</span>
          <span v-if="of.spot || of.residue || of.note" class="line quiet">{{
            [of.spot, of.residue && say(`residue.${of.residue}`), of.note].filter(Boolean).join(', ')
          }}</span>
        </div>
        <strong class="turn" :class="{ due: of.turn }">{{ sayTurn(of) }}</strong>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 70px minmax(0, 1fr) 150px;
  align-items: center;
  gap: 10px;
  padding: 6px 0;
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
.line {
  display: block;
}
.due {
  color: var(--ochre);
}
div > .due {
  display: block;
}
.turn {
  text-align: right;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: 70px minmax(0, 1fr);
  }
  li > div {
    grid-column: 1 / -1;
    order: 1;
  }
}
</style>
