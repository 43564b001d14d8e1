<script setup lang="ts">
import {
  mdiBellAlertOutline,
  mdiCalendarClockOutline,
  mdiCheckboxBlankOutline,
  mdiChevronRight,
  mdiFormatListChecks,
  mdiRulerSquare,
  mdiTriangle,
  mdiTruckOutline,
} from '@mdi/js'
import type { TodayItem } from '@/api/types'
import { weekDate } from '@/dates'

/** One planter's part of the list, or the deliveries: each line leads to where it is done. */
const { title, note, items, planterId } = defineProps<{
  title: string
  note: string
  items: TodayItem[]
  planterId?: number
}>()

const kinds: Record<TodayItem['kind'], { icon: string; to: string }> = {
  alarm: { icon: mdiBellAlertOutline, to: 'row-watch' },
  card: { icon: mdiCheckboxBlankOutline, to: 'work' },
  walk: { icon: mdiFormatListChecks, to: 'walk' },
  decide: { icon: mdiTriangle, to: 'decide' },
  measure_again: { icon: mdiRulerSquare, to: 'walk' },
  deadline: { icon: mdiCalendarClockOutline, to: 'season' },
  no_date: { icon: mdiCalendarClockOutline, to: 'season' },
  delivery: { icon: mdiTruckOutline, to: 'store' },
}
const target = ({ kind }: TodayItem) => ({
  name: kinds[kind].to,
  params: planterId === undefined ? {} : { planter: planterId },
})
const by = ({ kind, due, late }: TodayItem) => {
  if (due === null) return ''
  if (late) return `was due ${weekDate(due)}`
  return kind === 'delivery' ? weekDate(due) : `due ${weekDate(due)}`
}
const under = (item: TodayItem) => [by(item), item.detail].filter((part) => part !== '').join(' · ')
</script>

<template>
  <section :aria-label="title">
    <h2>
      <router-link v-if="planterId !== undefined" :to="{ name: 'board', params: { planter: planterId } }">{{
        title
      }}</router-link>
      <template v-else>{{ title }}</template>
      <span class="quiet">{{ note }}</span>
    </h2>
    <ul class="sheet">
      <li v-for="(item, place) in items" :key="place">
        <router-link :to="target(item)" :class="['line', item.kind, { late: item.late }]">
          <v-icon :icon="kinds[item.kind].icon" size="22" />
          <span class="what">
            <strong>{{ item.title }}</strong>
            <span v-if="under(item)" class="quiet">{{ under(item) }}</span>
          </span>
          <v-icon :icon="mdiChevronRight" size="22" class="go" />
        </router-link>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  padding: 0 4px 6px;
}
h2 a {
  color: var(--ink);
  text-decoration: none;
}
h2 .quiet {
  font-weight: 400;
}
@media (pointer: coarse) {
  h2 {
    padding-bottom: 0;
  }
  h2 a {
    display: inline-flex;
    align-items: center;
    min-height: var(--touch);
  }
}
ul {
  list-style: none;
  padding: 0 14px;
  margin: 0;
}
li + li {
  border-top: 1px solid var(--line);
}
.line {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 56px;
  padding: 8px 0;
  color: var(--ink);
  text-decoration: none;
}
.what {
  display: grid;
  flex: 1;
  min-width: 0;
}
.go {
  color: var(--ink-2);
}
.late strong,
.late > :first-child {
  color: var(--ochre);
}
.decide > :first-child,
.alarm > :first-child {
  color: var(--change);
}
</style>
