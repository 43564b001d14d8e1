<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { onMounted, ref } from 'vue'
import { dateAndTime } from '@/dates'

/** A link that lets somebody in, to be copied or held before a phone. It is shown this once. */
const { link, expiresAt, what } = defineProps<{ link: string; expiresAt: string; what: string }>()
const emit = defineEmits<{ close: [] }>()
const { copy, copied, isSupported } = useClipboard({ copiedDuring: 4_000 })
const drawn = ref('')

onMounted(async () => {
  const { default: qr } = await import('qrcode')
  drawn.value = await qr.toString(link, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' })
})
</script>

<template>
  <v-dialog :model-value="true" max-width="480" :aria-label="what" @update:model-value="emit('close')">
    <div class="sheet asks">
      <h2>{{ what }}</h2>
      <p>
        Valid until {{ dateAndTime(expiresAt) }}. Anyone with this link gets in, so share it with one person only. It is
        not shown again.
      </p>
      <!-- eslint-disable-next-line vue/no-v-html -- drawn by the QR library from our own link -->
      <div class="qr" role="img" aria-label="QR code of the link" v-html="drawn" />
      <input
        class="link"
        :value="link"
        readonly
        aria-label="The link"
        @focus="($event.target as HTMLInputElement).select()"
      />
      <div class="actions">
        <v-btn v-if="isSupported" color="primary" size="large" @click="copy(link)">
          {{ copied ? 'Copied' : 'Copy the link' }}
        </v-btn>
        <v-btn variant="text" size="large" @click="emit('close')">Close</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.qr {
  justify-self: center;
  width: min(240px, 100%);
  aspect-ratio: 1;
  background: #fff;
  border-radius: 8px;
}
.link {
  width: 100%;
  min-height: var(--touch);
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  font-family: var(--font-figures);
  font-size: 0.875rem;
}
</style>
