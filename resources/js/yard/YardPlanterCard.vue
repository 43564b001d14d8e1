<script setup lang="ts">
import { computed } from 'vue'
import type { YardPlanter } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import PlanterRibbon from '@/components/PlanterRibbon.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { weekDate, monthAndYear } from '@/dates'

const { planter } = defineProps<{ planter: YardPlanter }>()
const { length } = useUnits()

const walked = computed(() => Math.round(planter.share_walked * 100))
const due = computed(() => {
  const days = planter.days_to_planting
  if (days === null || planter.planting_start === null) return { figure: '–', text: 'planting date not set' }
  const date = weekDate(planter.planting_start)
  if (days < 0) return { figure: String(-days), text: `days since planting began, ${date}` }
  return { figure: String(days), text: `${days === 1 ? 'day' : 'days'} to planting, ${date}` }
})
const next = computed(() => {
  if (planter.walk_open) return { label: 'Continue the walk', to: 'walk' }
  if (planter.share_walked === 0) return { label: 'Start the walk', to: 'walk' }
  return { label: 'Open the board', to: 'board' }
})
</script>

<template>
  <article class="card sheet">
    <div class="name">
      <router-link class="title" :to="{ name: 'board', params: { planter: planter.id } }">{{
        planter.name
      }}</router-link>
      <span class="quiet">{{ planter.farm }}</span>
      <span class="quiet">{{ planter.row_count }} rows, <fraction-text :text="length(planter.spacing_mm)" /></span>
    </div>
    <planter-ribbon class="ribbon" :ribbon="planter.ribbon" :sections="planter.sections" small />
    <div class="state">
      <span v-if="planter.rows_to_change > 0" class="change strong">
        <verdict-glyph verdict="change" silent /> {{ planter.rows_to_change }}
        {{ planter.rows_to_change === 1 ? 'row' : 'rows' }} to change
      </span>
      <router-link v-if="planter.to_decide > 0" :to="{ name: 'decide', params: { planter: planter.id } }"
        >{{ planter.to_decide }} past the limit to decide</router-link
      >
      <span v-if="planter.to_measure_again > 0">{{ planter.to_measure_again }} to measure again</span>
      <span v-if="walked > 0">{{ walked }}% walked for {{ planter.season }}</span>
      <span v-else>Not walked for {{ planter.season }}</span>
      <span v-if="planter.last_walk" class="quiet">last walk {{ monthAndYear(planter.last_walk) }}</span>
    </div>
    <div class="due">
      <span class="days">{{ due.figure }}</span>
      <span class="quiet">{{ due.text }}</span>
    </div>
    <v-btn
      class="go"
      :variant="planter.walk_open ? 'flat' : 'outlined'"
      :color="planter.walk_open ? 'primary' : undefined"
      :to="{ name: next.to, params: { planter: planter.id } }"
      >{{ next.label }}</v-btn
    >
  </article>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 190px 130px 180px;
  gap: 20px;
  align-items: center;
}
.name {
  display: grid;
  gap: 2px;
  font-size: 0.9375rem;
}
.title {
  font-size: 1.1875rem;
  font-weight: 700;
  color: var(--ink);
  min-height: 32px;
  display: inline-flex;
  align-items: center;
}
.state {
  display: grid;
  gap: 2px;
  font-size: 0.9375rem;
}
.state a {
  color: var(--accent);
}
@media (pointer: coarse) {
  .state a {
    min-height: var(--touch);
    display: inline-flex;
    align-items: center;
  }
}
.strong {
  font-weight: 700;
}
.due {
  display: grid;
  font-size: 0.9375rem;
}
.days {
  font-size: 1.75rem;
  line-height: 1.1;
  font-weight: 700;
  color: var(--ochre);
}
.go {
  justify-self: stretch;
}
@media (max-width: 1000px) {
  .card {
    grid-template-columns: 1fr 1fr;
    gap: 12px;
  }
  .ribbon,
  .go {
    grid-column: 1 / -1;
  }
  .name {
    grid-column: 1 / -1;
  }
}
</style>
