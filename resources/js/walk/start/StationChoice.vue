<script setup lang="ts">
import { computed } from 'vue'
import type { Check, Station } from '@/api/types'
import { say } from '@/words'

/** Which stations are walked today, and whether only what is measured there. */
const chosen = defineModel<string[]>({ required: true })
const { checks } = defineProps<{ checks: Check[] }>()

const stations = computed(() => {
  const groups = new Map<Station, Check[]>()
  for (const check of checks) groups.set(check.station, [...(groups.get(check.station) ?? []), check])
  return [...groups].map(([name, of]) => ({ name, of, isOn: of.some((check) => chosen.value.includes(check.key)) }))
})
const measuresOnly = computed(() =>
  checks.every((check) => check.kind === 'measure' || !chosen.value.includes(check.key)),
)

function choose(wanted: Check[]): void {
  const keys = new Set(wanted.map((check) => check.key))
  if (keys.size > 0) chosen.value = checks.filter((check) => keys.has(check.key)).map((check) => check.key)
}

function toggle(station: Station): void {
  const isOn = stations.value.find(({ name }) => name === station)?.isOn
  const kept = checks.filter((check) => chosen.value.includes(check.key) && check.station !== station)
  const added = checks.filter((check) => check.station === station && (!measuresOnly.value || check.kind === 'measure'))
  choose(isOn ? kept : [...kept, ...(added.length > 0 ? added : checks.filter((check) => check.station === station))])
}

function limit(only: boolean): void {
  const on = new Set(stations.value.filter(({ isOn }) => isOn).map(({ name }) => name))
  choose(checks.filter((check) => on.has(check.station) && (!only || check.kind === 'measure')))
}
</script>

<template>
  <div class="choice">
    <div class="all">
      <button type="button" @click="choose(checks)">All stations</button>
      <button type="button" @click="choose(checks.filter((check) => check.station === checks[0]?.station))">
        None but the first
      </button>
      <button type="button" :aria-pressed="measuresOnly" @click="limit(!measuresOnly)">Measurements only</button>
    </div>
    <div class="stations" role="group" aria-label="Stations">
      <button v-for="{ name, isOn } in stations" :key="name" type="button" :aria-pressed="isOn" @click="toggle(name)">
        {{ say(`station.${name}`) }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.choice {
  display: grid;
  gap: 10px;
}
.all,
.stations {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
button {
  min-height: var(--touch);
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: 24px;
}
.all button {
  border-radius: 8px;
}
button[aria-pressed='true'] {
  background: var(--accent-weak);
  border-color: var(--accent);
  font-weight: 700;
}
</style>
