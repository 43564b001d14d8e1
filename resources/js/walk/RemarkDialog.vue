<script setup lang="ts">
import { mdiCamera } from '@mdi/js'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import type { NoteKind, PlaceRef } from '@/api/types'
import { vCursor } from '@/components/cursor'
import { useOutbox } from '@/offline/outbox'
import { shrinkPicture } from '@/offline/picture'
import { say, sayCheck, sayRow } from '@/words'

/** A note or a photo on the place that is up; a joint that was hard to open is remembered for next year. */
const { planterId, walk, place } = defineProps<{ planterId: number; walk: string; place: PlaceRef }>()
const emit = defineEmits<{ close: [] }>()
const outbox = useOutbox()

const text = ref('')
const isHard = ref(false)
const complaint = ref('')
const picture = ref<{ blob: Blob; url: string }>()
const camera = ref<HTMLInputElement>()

async function choose(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  complaint.value = ''
  try {
    const blob = await shrinkPicture(file)
    picture.value = { blob, url: URL.createObjectURL(blob) }
  } catch {
    complaint.value = `"${file.name}" is not a picture. Take a photo, or choose a JPEG, PNG or WebP.`
  }
}

async function store(): Promise<void> {
  const kind: NoteKind = isHard.value ? 'hard_joint' : 'note'
  const { row, check, side } = place
  const base = { row, check, side, taken_at: new Date().toISOString() }
  if (text.value.trim() !== '' || isHard.value) {
    const words = text.value.trim() || 'Seized or hard to open.'
    const id = uuid()
    await outbox.add({ what: 'note', id, walk, planter: planterId, body: { ...base, id, kind, text: words } })
  }
  if (picture.value) {
    const id = uuid()
    const body = { ...base, id, picture: picture.value.blob }
    await outbox.add({ what: 'photo', id, walk, planter: planterId, body })
  }
  emit('close')
}
</script>

<template>
  <v-dialog model-value aria-label="Note or photo" max-width="520" @update:model-value="emit('close')">
    <form class="sheet asks" @submit.prevent="store">
      <h2>{{ sayRow(place.row) }}, {{ sayCheck(place).toLowerCase() }}</h2>
      <v-textarea v-model="text" v-cursor label="Note" rows="3" maxlength="1000" variant="outlined" hide-details />
      <v-checkbox v-model="isHard" hide-details label="Seized or hard to open: warn next year" />
      <p v-if="isHard" class="caution">{{ say('caution.heat') }}</p>
      <img v-if="picture" :src="picture.url" alt="The photo" class="preview" />
      <input
        ref="camera"
        type="file"
        accept="image/*"
        capture="environment"
        class="spoken"
        aria-label="Photo"
        @change="choose"
      />
      <v-btn variant="outlined" size="large" :prepend-icon="mdiCamera" @click="camera?.click()">
        {{ picture ? 'Take another photo' : 'Take or choose a photo' }}
      </v-btn>
      <p v-if="complaint" class="change" role="alert">{{ complaint }}</p>
      <v-btn type="submit" color="primary" size="large" :disabled="text.trim() === '' && !isHard && !picture"
        >Save</v-btn
      >
      <v-btn variant="outlined" size="large" @click="emit('close')">Back to the walk</v-btn>
    </form>
  </v-dialog>
</template>

<style scoped>
.preview {
  max-height: 220px;
  max-width: 100%;
  border-radius: 8px;
  justify-self: start;
}
</style>
