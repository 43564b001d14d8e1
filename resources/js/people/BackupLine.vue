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
      The newest is of {{ dateAndTime(backups.data.value.newest.made_at) }},
      {{ megabytes(backups.data.value.newest.bytes) }}. Kept on this machine: {{ backups.data.value.count }}. Take a
      copy elsewhere now and then.
    </p>
    <p v-else class="quiet">None yet: one is written every night, while Ustrel runs.</p>
    <p v-if="backups.data.value.trial?.why" class="change" role="alert">
      Tried on {{ dateAndTime(backups.data.value.trial.at) }}, it did not come back: {{ backups.data.value.trial.why }}
    </p>
    <p v-else-if="backups.data.value.trial" class="quiet">
      Tried on {{ dateAndTime(backups.data.value.trial.at) }} by taking it back: all of it was there.
    </p>
    <p v-else-if="backups.data.value.newest" class="quiet">Every Sunday the newest is tried by taking it back.</p>
    <div class="parcel">
      <v-btn variant="outlined" size="large" href="/api/workshop/parcel" download>Take all of the shop out</v-btn>
      <p class="quiet">
        One zip with tables, sheets for any spreadsheet, and pictures; another Ustrel takes it in. Passwords and guests’
        links stay here.
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
