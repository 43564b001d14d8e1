<script setup lang="ts">
import { computed } from 'vue'
import type { WorkPlan } from '@/api/types'
import { sayRows } from '@/plan/findings'
import { type Block, daysOf, sayMinutes } from './plan'
import { weekDate } from '@/dates'

/** The plan as lanes, one a person; only days on which somebody works, each as wide as the hours that are worked. */
const { plan, arrivals } = defineProps<{
  plan: WorkPlan
  arrivals: { name: string; on: string; count: number; ordered: boolean }[]
}>()
/** A day is drawn at least as wide as one hour, for its name. */
const LEAST = 60
const days = computed(() => {
  const of = daysOf(plan)
  const widths = of.map(({ from, to }) => Math.max(LEAST, to - from))
  const all = widths.reduce((sum, width) => sum + width, 0)
  return of.map((day, index) => ({
    ...day,
    width: widths[index] ?? LEAST,
    share: (100 * (widths[index] ?? LEAST)) / all,
  }))
})
/** What comes stands at the first day drawn from then on. */
const posts = computed(() =>
  days.value.map(({ day }, index) =>
    arrivals
      .filter(({ on }) => on <= day && (index === 0 || on > (days.value[index - 1]?.day ?? '')))
      .map(
        ({ name, on, count, ordered }) =>
          `${count} × ${name} ${ordered ? 'comes' : 'if ordered'}${on === day ? '' : ` ${weekDate(on)}`}`,
      ),
  ),
)
const critical = computed(() => new Set(plan.chain.map(({ key }) => key)))
const isCritical = ({ pieces }: Block) => pieces.some(({ key }) => critical.value.has(key))
const told = ({ rows, said }: Block) => (rows[0] === 0 && rows.length === 1 ? said : `${sayRows(rows)}: ${said}`)
const name = (person: number) => plan.people[person] || 'one more'
</script>

<template>
  <section class="sheet lanes" aria-label="Who does what, and when">
    <div class="row head" aria-hidden="true">
      <span />
      <span v-for="({ day, share }, index) in days" :key="day" :style="{ width: `${share}%` }">
        {{ weekDate(day) }}
        <span v-for="post in posts[index]" :key="post" class="post">{{ post }}</span>
      </span>
    </div>
    <div v-for="(_, person) in plan.people" :key="person" class="row">
      <span class="name">{{ name(person) }}</span>
      <span v-for="{ day, share, width, from, blocks } in days" :key="day" class="day" :style="{ width: `${share}%` }">
        <span
          v-for="block in blocks.filter((one) => one.person === person)"
          :key="block.key"
          class="block"
          :class="{ critical: isCritical(block), safe: block.pieces[0]?.jobs.length === 0 }"
          :style="{
            left: `${(100 * (block.from - from)) / width}%`,
            width: `${(100 * (block.to - block.from)) / width}%`,
          }"
          :title="`${told(block)}, ${sayMinutes(block.to - block.from)}`"
          role="img"
          :aria-label="`${name(person)}, ${weekDate(day)}: ${told(block)}, ${sayMinutes(block.to - block.from)}`"
          ><span v-if="(share * (block.to - block.from)) / width > 5" aria-hidden="true" class="said">{{
            told(block)
          }}</span></span
        >
      </span>
    </div>
    <p class="quiet key">Outlined jobs set the finish date. Only days with work are shown.</p>
  </section>
</template>

<style scoped>
.lanes {
  padding: 6px 14px;
}
.row {
  display: flex;
  min-height: 78px;
  border-top: 1px solid var(--line);
}
.row > :first-child {
  flex: 0 0 84px;
}
.head {
  min-height: 0;
  padding-bottom: 4px;
  border: 0;
  color: var(--ink-2);
}
.head > span {
  overflow: hidden;
  padding-left: 6px;
  border-left: 1px solid var(--line);
}
.head > :first-child {
  border: 0;
}
.post {
  display: block;
  color: var(--ochre);
  font-size: 0.8125rem;
}
.name {
  align-self: center;
  font-weight: 700;
}
.day {
  position: relative;
  border-left: 1px solid var(--line);
}
.block {
  position: absolute;
  top: 8px;
  bottom: 8px;
  overflow: hidden;
  padding: 3px 6px;
  border: 1px solid var(--card);
  border-radius: 6px;
  background: color-mix(in srgb, var(--accent) 20%, var(--card));
  font-size: 0.8125rem;
  line-height: 1.2;
}
.said {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
}
.safe {
  background: var(--line);
}
.critical {
  border: 2px solid var(--ochre);
}
.key {
  margin: 4px 0 0;
  font-size: 0.875rem;
}
@media (max-width: 700px) {
  .lanes {
    display: none;
  }
}
</style>
