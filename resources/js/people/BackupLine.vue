<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { api, body } from '@/api/client'
import { dateAndTime } from '@/dates'

/** Whether what the shop has would come back. */
const backups = useQuery({ queryKey: ['backups'], queryFn: () => body(api.GET('/api/backups')), staleTime: 60_000 })
const megabytes = (bytes: number) => `${(bytes / 1_000_000).toLocaleString('en', { maximumFractionDigits: 1 })} MB`
</script>

<template>
  <section v-if="backups.data.value" class="sheet">
    <h2>Backups</h2>
    <p v-if="backups.data.value.newest">
      Latest: {{ dateAndTime(backups.data.value.newest.made_at) }}, {{ megabytes(backups.data.value.newest.bytes) }}.
      Kept on this machine: {{ backups.data.value.count }}. Copy one to another place now and then.
    </p>
    <p v-else class="quiet">None yet. Ustrel writes one every night while it runs.</p>
    <p v-if="backups.data.value.trial?.why" class="change" role="alert">
      Tried on {{ dateAndTime(backups.data.value.trial.at) }}, it could not be restored:
      {{ backups.data.value.trial.why }}
    </p>
    <p v-else-if="backups.data.value.trial" class="quiet">
      Tried on {{ dateAndTime(backups.data.value.trial.at) }} by restoring it: everything was there.
    </p>
    <p v-else-if="backups.data.value.newest" class="quiet">Every Sunday the latest one is test-restored.</p>
    <div class="parcel">
      <v-btn variant="outlined" size="large" href="/api/workshop/parcel" download>Export everything</v-btn>
      <p class="quiet">
        One zip with tables, spreadsheets and pictures. Another Ustrel can import it. Passwords and guest links are not
        included.
      </p>
    </div>
  </section>
</template>

<style scoped>
.parcel {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  margin-top: 12px;
}
.parcel p {
  flex: 1 1 300px;
  margin: 0;
}
</style>
