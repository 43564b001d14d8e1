<script setup lang="ts">
import { computed } from 'vue'
import type { PlaceRef, Station, WalkGuide } from '@/api/types'
import { useOutbox } from '@/offline/outbox'
import { say } from '@/words'

/** What is on record beside the place that is up: joints that were hard to open, notes and photos of this walk. */
const { guide, place, station } = defineProps<{ guide: WalkGuide; place: PlaceRef; station: Station }>()
const outbox = useOutbox()

const stations = computed(() => new Map(guide.checks.map((check) => [check.key, check.station])))
const here = (one: PlaceRef) => one.row === place.row && one.check === place.check && one.side === place.side
const notes = computed(() =>
  guide.notes.filter((note) =>
    note.kind === 'hard_joint'
      ? note.row === place.row && stations.value.get(note.check) === station
      : note.walk === guide.walk?.id && here(note),
  ),
)
const photos = computed(() => guide.photos.filter(here))
const onTheWay = computed(
  () => outbox.waiting.filter((item) => (item.what === 'note' || item.what === 'photo') && here(item.body)).length,
)
</script>

<template>
  <ul v-if="notes.length + photos.length + onTheWay > 0" class="remarks">
    <li v-for="note in notes" :key="note.id" :class="note.kind">
      <strong>{{ say(`note_kind.${note.kind}`) }}, {{ note.season }}.</strong> {{ note.text }}
      <span class="quiet">{{ note.taken_by }}</span>
    </li>
    <li v-if="photos.length > 0" class="photos">
      <a v-for="photo in photos" :key="photo.id" :href="`/api/photos/${photo.id}`" target="_blank" rel="noopener">
        <img :src="`/api/photos/${photo.id}/thumbnail`" alt="Photo taken here" height="72" />
      </a>
    </li>
    <li v-if="onTheWay > 0" class="quiet">{{ onTheWay }} notes or photos here, waiting to sync.</li>
  </ul>
</template>

<style scoped>
.remarks {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
}
li {
  padding: 8px 12px;
  border-radius: 8px;
  background: var(--card);
  border: 1px solid var(--line);
}
.hard_joint {
  border-left: 5px solid var(--ochre);
}
.photos {
  display: flex;
  gap: 8px;
  overflow-x: auto;
}
img {
  display: block;
  border-radius: 6px;
}
</style>
