<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRain } from '@/work/queries'
import type { RainJob } from '@/api/types'
import { useMoney } from '@/composables/useMoney'
import { say, sayCheck, sayRow } from '@/words'
import { sayMinutes } from './plan'

/** It rains: with so many hours and people, what removes most risk. */
const { planterId } = defineProps<{ planterId: number }>()
const hours = ref(3)
const people = ref(2)
const query = useRain(
  () => planterId,
  () => ({ minutes: 60 * hours.value, people: people.value }),
)
const day = computed(() => query.data.value)
const { wholeMoney } = useMoney()
const told = (job: RainJob) => `${sayRow(job.row)}, ${sayCheck(job)}: ${say(`action.${job.action}`)}`
/** Who else is at it. */
const together = (job: RainJob, person: number) =>
  (day.value?.people ?? [])
    .flatMap((jobs, other) => (other !== person && jobs.some((one) => told(one) === told(job)) ? [other + 1] : []))
    .map((number) => `person ${number}`)
    .join(' and ')
const isEmpty = computed(() => day.value?.people.every((jobs) => jobs.length === 0) ?? true)
</script>

<template>
  <section class="sheet half" aria-label="Rain list">
    <h2>Rain list</h2>
    <div class="asked">
      <div class="segments" role="group" aria-label="Hours of rain">
        <button v-for="of in [1, 2, 3, 5, 8]" :key="of" type="button" :aria-pressed="hours === of" @click="hours = of">
          {{ of }} h
        </button>
      </div>
      <div class="segments" role="group" aria-label="People">
        <button v-for="of in [1, 2, 3]" :key="of" type="button" :aria-pressed="people === of" @click="people = of">
          {{ of }} {{ of === 1 ? 'person' : 'people' }}
        </button>
      </div>
    </div>
    <p v-if="query.error.value" class="quiet">The rain list needs a signal.</p>
    <template v-else-if="day">
      <p v-if="day.no_stop_cost">
        Say in <router-link :to="{ name: 'shop' }">Shop figures</router-link> what a stop costs to get a rain list.
      </p>
      <p v-else-if="isEmpty">Nothing decided or carried over can be done with the parts on hand.</p>
      <template v-else>
        <p>
          Worth {{ wholeMoney(day.worth) }} in avoided stops and lost depth; {{ day.safe }} min to make the planter
          safe.<template v-if="!day.best"> No list can be worth more than {{ wholeMoney(day.at_most) }}.</template>
        </p>
        <div v-for="(jobs, person) in day.people" :key="person">
          <h3 v-if="jobs.length > 0">
            {{ day.people.length === 1 ? 'To do' : `Person ${person + 1}` }}, {{ sayMinutes(day.minutes[person] ?? 0) }}
          </h3>
          <ul>
            <li v-for="job in jobs" :key="told(job)">
              {{ told(job) }}<span v-if="together(job, person) !== ''">, with {{ together(job, person) }}</span>
              <span v-if="job.chance !== null" class="quiet"> · {{ Math.round(100 * job.chance) }}% if left</span>
            </li>
          </ul>
        </div>
        <p v-for="{ job, minutes } in day.missed" :key="told(job)" class="quiet">
          Just missed, {{ minutes }} min short: {{ told(job) }}
        </p>
      </template>
      <p v-if="day.waiting > 0" class="quiet">{{ day.waiting }} more are waiting for parts.</p>
      <p v-if="day.for_more > 0" class="quiet">{{ day.for_more }} more need more people.</p>
      <p v-if="day.unknown > 0" class="quiet">The risk of {{ day.unknown }} more is unknown.</p>
    </template>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.0625rem;
}
h3 {
  margin: 6px 0 0;
  font-size: 1rem;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 6px 0;
}
p {
  margin: 4px 0;
}
ul {
  margin: 0;
  padding-left: 20px;
}
a {
  color: var(--accent);
}
</style>
