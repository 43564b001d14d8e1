<script setup lang="ts">
import { computed } from 'vue'
import type { Check, Note, Photo, RowRecord, TimelineReading } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useUnits } from '@/composables/useUnits'
import { dateAndTime } from '@/dates'
import { sayLook } from '@/plan/findings'
import { sayShims } from '@/opener/shims'
import { say, sayCheck } from '@/words'

/**
 * What happened on one row, newest first, season by season: trouble, changes, adjustments, notes and photos. What was
 * read and found sound is folded away.
 */
const { record, checkOf } = defineProps<{
  record: RowRecord
  checkOf: (place: Pick<TimelineReading, 'check'>) => Check | undefined
}>()
const { answer, distance, units } = useUnits()

type Entry = {
  at: string
  season: number
  reading?: TimelineReading
  note?: Note
  photo?: Photo
  done?: string
  cost?: number | null
}

const seasons = computed(() => {
  const entries: Entry[] = [
    ...record.readings.map((reading) => ({ at: reading.taken_at, season: reading.season, reading })),
    ...record.notes.map((note) => ({ at: note.taken_at, season: note.season, note })),
    ...record.photos.map((photo) => ({ at: photo.taken_at, season: photo.season, photo })),
    ...record.fittings.flatMap(changes),
    ...record.carried.map((one) => ({
      at: one.happened_at,
      season: one.season,
      done: `Carried over by ${one.by}: ${sayCheck(one).toLowerCase()}${one.reason ? `, ${say(`override.${one.reason}`)}` : ''}${one.words ? `, “${one.words}”` : ''}; look ${sayLook(one, units.value)}.`,
    })),
    ...record.shim_moves.map((move) => ({
      at: move.happened_at,
      season: move.season,
      done: `${sayShims(move)} ${move.note}`,
    })),
  ]
  entries.sort((a, b) => b.at.localeCompare(a.at))
  return [...new Set(entries.map((entry) => entry.season))].map((season) => {
    const all = entries.filter((entry) => entry.season === season)
    const isQuiet = ({ reading }: Entry) => reading?.verdict === 'sound'
    return { season, entries: all.filter((entry) => !isQuiet(entry)), quiet: all.filter(isQuiet) }
  })
})

/** That a part went in; and that it came out, where nothing took its place at that moment. */
function changes(fitting: RowRecord['fittings'][number]): Entry[] {
  const slot = `${say(`slot.${fitting.slot}`)} ${say(`side.${fitting.side}`)}`.trim()
  const fitted = {
    at: fitting.fitted_at,
    season: fitting.season,
    done: `Fitted: ${slot}${fitting.part ? `, ${fitting.part}` : ''}${fitting.used ? ' (used)' : ''}. ${fitting.note}`,
    cost: fitting.cost,
  }
  if (fitting.removed_at === null || fitting.removal_reason === null) return [fitted]
  const out = `Out: ${slot}, ${say(`removal.${fitting.removal_reason}`)}, after ${distance(fitting.part_ran_m)}.`
  return [fitted, { at: fitting.removed_at, season: fitting.removed_season ?? fitting.season, done: out }]
}

function value(reading: TimelineReading): string {
  const check = checkOf(reading)
  const ticked = reading.chips.map((chip) => say(`chip.${chip}`)).join(', ')
  return `${answer(reading, check ?? { unit: 'mark' })}${ticked && ` (${ticked})`}`
}
</script>

<template>
  <section class="sheet">
    <h2>History</h2>
    <p v-if="seasons.length === 0" class="quiet">
      Nothing yet. Readings, notes and photos of this row will be listed here.
    </p>
    <details v-for="({ season, entries, quiet }, index) in seasons" :key="season" :open="index === 0">
      <summary>
        {{ season }}
        <span class="quiet"
          >{{ entries.length + quiet.length }} {{ entries.length + quiet.length === 1 ? 'entry' : 'entries' }}</span
        >
      </summary>
      <p v-if="entries.length === 0" class="quiet">No problems and no changes.</p>
      <ol>
        <li v-for="(entry, nth) in entries" :key="nth">
          <template v-if="entry.reading">
            <verdict-glyph :verdict="entry.reading.verdict ?? 'unchecked'" :size="14" />
            <span
              >{{ sayCheck(entry.reading) }} <strong><fraction-text :text="value(entry.reading)" /></strong
            ></span>
          </template>
          <template v-else-if="entry.note">
            <span class="mark" aria-hidden="true">✎</span>
            <span
              ><strong>{{ say(`note_kind.${entry.note.kind}`) }}.</strong> {{ entry.note.text }}</span
            >
          </template>
          <template v-else-if="entry.photo">
            <span class="mark" aria-hidden="true">▣</span>
            <a :href="`/api/photos/${entry.photo.id}`" target="_blank" rel="noopener">
              <img
                :src="`/api/photos/${entry.photo.id}/thumbnail`"
                :alt="`Photo of ${sayCheck(entry.photo)}`"
                height="90"
              />
            </a>
          </template>
          <template v-else-if="entry.done">
            <span class="mark" aria-hidden="true">⚙</span>
            <span
              >{{ entry.done }} <span v-if="entry.cost" class="quiet">Cost {{ entry.cost.toFixed(2) }}.</span></span
            >
          </template>
          <span class="quiet when">{{ dateAndTime(entry.at) }}</span>
        </li>
      </ol>
      <details v-if="quiet.length > 0" class="sound-ones">
        <summary class="quiet">{{ quiet.length === 1 ? '1 figure' : `${quiet.length} figures` }} sound</summary>
        <ul>
          <li v-for="(entry, nth) in quiet" :key="nth">
            <template v-if="entry.reading">
              <verdict-glyph verdict="sound" :size="14" />
              <span
                >{{ sayCheck(entry.reading) }} <fraction-text :text="value(entry.reading)" />
                <span class="quiet">{{ dateAndTime(entry.at) }}</span></span
              >
            </template>
          </li>
        </ul>
      </details>
    </details>
  </section>
</template>

<style scoped>
summary {
  min-height: var(--touch);
  padding-top: 12px;
  font-weight: 700;
  cursor: pointer;
}
summary .quiet {
  font-weight: 400;
}
ol,
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 20px 1fr;
  gap: 2px 6px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.when {
  grid-column: 2;
  font-size: 0.875rem;
}
img {
  display: block;
  border-radius: 6px;
}
</style>
