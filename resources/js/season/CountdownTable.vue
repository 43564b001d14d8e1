<script setup lang="ts">
import { mdiCheck } from '@mdi/js'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import type { Deadline, Season } from '@/api/types'
import { useDays } from '@/composables/useDays'
import { weekDate } from '@/dates'
import { useSession } from '@/session'
import { say } from '@/words'
import { daysBetween, type Typed, weeksOf } from './season'

/** Everything that has a date, counted backwards from planting: a line of weeks, what is late in ochre. */
const { planterId, season, busy } = defineProps<{
  planterId: number
  season: Season
  busy: boolean
}>()
const form = defineModel<Typed>('form', { required: true })
const emit = defineEmits<{ tick: [key: string, done: boolean] }>()
const session = useSession()
const { today } = useDays()
const line = computed(() => season.planting_start && weeksOf(season.countdown, today(), season.planting_start))
const days = computed(() => (season.planting_start ? daysBetween(today(), season.planting_start) : 0))
const late = computed(() => season.countdown.filter((item) => item.late).length)
const planting = computed(() =>
  days.value > 0
    ? `${days.value} ${days.value === 1 ? 'day' : 'days'} to planting`
    : days.value === 0
      ? 'planting starts today'
      : `planting began ${-days.value} days ago`,
)
const adding = ref(false)
const title = ref('')
const due = ref('')

const name = ({ key, title: own }: Deadline) => own ?? say(`countdown.${key}`)
const when = ({ due: by, latest_start: start, done, late: isLate }: Deadline) =>
  done
    ? 'done'
    : start === null
      ? `by ${weekDate(by)}`
      : start === by
        ? `by ${weekDate(by)}`
        : `${isLate ? 'should have started' : 'start by'} ${weekDate(start)}`

function add(): void {
  if (title.value.trim() === '' || due.value === '') return
  form.value.own_items.push({ id: uuid(), title: title.value.trim(), due: due.value, done: false })
  title.value = ''
  adding.value = false
}
</script>

<template>
  <section class="sheet countdown" aria-label="Countdown">
    <div class="head">
      <h1>Season {{ season.season }}</h1>
      <span v-if="season.planting_start">{{ planting }}</span>
      <span v-if="late > 0" class="due"
        ><strong>{{ late }} late</strong></span
      >
      <span v-if="season.finish?.p50" class="quiet"
        >planting done about {{ weekDate(season.finish.p50) }} (8 years in 10:
        {{ season.finish.p10 ? weekDate(season.finish.p10) : '…' }} to
        {{ season.finish.p90 ? weekDate(season.finish.p90) : 'too late to tell' }})</span
      >
      <v-btn
        v-if="session.may('set') && season.planting_start && !adding"
        class="more"
        variant="text"
        @click="adding = true"
        >Add an item</v-btn
      >
      <a v-if="season.planting_start" class="ics" :href="`/api/planters/${planterId}/season/countdown.ics`" download
        >Add to calendar</a
      >
    </div>
    <ol v-if="line">
      <li class="scale" aria-hidden="true">
        <span />
        <span class="track">
          <span v-for="{ week, at } in line.weeks" :key="week" class="week" :style="{ left: `${at}%` }">{{
            week === 0 ? 'planting' : week === 1 ? '1 week' : `${week} weeks`
          }}</span>
        </span>
        <span />
      </li>
      <li v-for="item in season.countdown" :key="item.key" :class="{ done: item.done, late: item.late }">
        <button
          v-if="item.by_hand && session.may('set')"
          type="button"
          class="name"
          role="checkbox"
          :aria-checked="item.done"
          :disabled="busy"
          @click="emit('tick', item.key, !item.done)"
        >
          <span class="box"><v-icon v-if="item.done" :icon="mdiCheck" size="18" /></span>{{ name(item) }}
        </button>
        <span v-else class="name"
          ><span class="known"><v-icon v-if="item.done" :icon="mdiCheck" size="18" /></span>{{ name(item) }}</span
        >
        <span class="track" aria-hidden="true">
          <span class="now" :style="{ left: `${line.today}%` }" />
          <span
            class="span"
            :style="{
              left: `${line.at(item.latest_start ?? item.due)}%`,
              width: `calc(${line.at(item.due) - line.at(item.latest_start ?? item.due)}% + 8px)`,
            }"
          />
        </span>
        <span class="when">{{ when(item) }}</span>
        <p v-for="one in item.said" :key="one" class="said due">{{ one }}</p>
      </li>
    </ol>
    <div v-if="adding" class="add">
      <input v-model="title" aria-label="Your own item" placeholder="Your own item" maxlength="120" />
      <input v-model="due" type="date" aria-label="Due on" />
      <v-btn variant="outlined" :disabled="title.trim() === '' || due === ''" @click="add">Add</v-btn>
    </div>
  </section>
</template>

<style scoped>
.countdown {
  grid-column: 1 / -1;
  padding: 8px 14px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
}
.head .more {
  margin-left: auto;
}
.head a {
  min-height: var(--touch);
  display: inline-flex;
  align-items: center;
  color: var(--accent);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr) 150px;
  align-items: center;
  gap: 12px;
  border-top: 1px solid var(--line);
}
.said {
  grid-column: 1 / -1;
  margin: -10px 0 2px 32px;
  font-size: 0.875rem;
}
.scale {
  border: 0;
  font-size: 0.8125rem;
  color: var(--ink-2);
}
.name {
  display: flex;
  padding: 0;
  align-items: center;
  gap: 8px;
  min-height: 30px;
  text-align: left;
}
.box,
.known {
  flex: none;
  margin-left: 0;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
}
.box {
  border: 2px solid var(--ink-2);
  border-radius: 4px;
}
.track {
  position: relative;
  height: 20px;
}
.week {
  position: absolute;
  transform: translateX(-100%);
}
.now {
  position: absolute;
  inset: -5px auto -5px;
  width: 2px;
  background: var(--ink-2);
  opacity: 0.5;
}
.span {
  position: absolute;
  top: 6px;
  height: 8px;
  border-radius: 4px;
  background: var(--accent);
}
.done {
  color: var(--ink-2);
}
.done .span {
  background: var(--line);
}
.late .when,
.due {
  color: var(--ochre);
}
.late .when {
  font-weight: 700;
}
.late .span {
  background: var(--ochre);
}
.when {
  font-size: 0.9375rem;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 8px 0 4px;
  border-top: 1px solid var(--line);
}
input {
  min-height: 44px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
}
input:first-child {
  flex: 1;
  max-width: 320px;
}
@media (max-width: 700px), (pointer: coarse) {
  .name,
  input {
    min-height: var(--touch);
  }
}
@media (max-width: 700px) {
  .head .more {
    margin-left: 0;
    padding: 0;
  }
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  li .track,
  .scale {
    display: none;
  }
}
</style>
