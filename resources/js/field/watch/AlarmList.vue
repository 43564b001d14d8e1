<script setup lang="ts">
import type { Verdict, WatchRun } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useSession } from '@/session'
import { sayRows } from '@/plan/findings'
import { isWatched } from './queries'
import { useWatchEntries } from './useWatchEntries'
import { clock } from '@/dates'

type Alarm = WatchRun['alarms'][number]

/** What was amiss, the newest first: who, since when, what was going on, and what to do about it. */
const { planterId, run } = defineProps<{ planterId: number; run: WatchRun }>()
const emit = defineEmits<{ diagnose: [row: number, symptom: Alarm['symptom']] }>()
const { record, refusal, busy } = useWatchEntries(
  () => planterId,
  () => run,
)
const session = useSession()
const verdict = (of: Alarm): Verdict => (of.kind === 'stopped' ? 'failed' : of.is_sensor ? 'watch' : 'change')

const shut = ({ rows }: Alarm) =>
  record(rows.filter((row) => !run.shut.includes(row)).map((row) => ({ kind: 'shut', row })))
</script>

<template>
  <section class="sheet" aria-label="Alarms">
    <h2>Alarms</h2>
    <refusal-list :refusal="refusal" />
    <div aria-live="polite">
      <p v-if="run.alarms.length === 0" class="quiet">
        No alarms. Ustrel knows each row after a minute of planting; a row that stops shows right away.
      </p>
      <ol v-else>
        <li v-for="of in run.alarms" :key="of.id" :class="{ over: of.is_back || of.is_left || of.seen_at !== null }">
          <verdict-glyph :verdict="verdict(of)" :size="18" />
          <div>
            <strong>{{ sayRows(of.rows) }}</strong>
            {{ of.says }}<template v-if="of.shared">. They share the {{ of.shared }}: look there first</template>.
            <span class="quiet"
              >{{ clock(of.at) }} · {{ of.while }}<template v-if="of.is_back"> · back to normal</template
              ><template v-if="of.is_left"> · marked normal</template
              ><template v-else-if="of.seen_by"> · seen by {{ of.seen_by }}</template></span
            >
            <span class="does">
              <v-btn
                variant="text"
                :aria-label="`What is wrong with ${sayRows(of.rows)}?`"
                @click="emit('diagnose', of.rows[0] ?? 1, of.symptom)"
                >What’s wrong?</v-btn
              >
              <template v-if="session.may('record') && !of.is_left">
                <v-btn
                  v-if="!of.seen_at"
                  variant="text"
                  :disabled="busy"
                  @click="record([{ kind: 'seen', alarm: of.id }])"
                  >Seen</v-btn
                >
                <template v-if="isWatched(run) && !of.is_back">
                  <v-btn
                    v-if="of.kind === 'drift'"
                    variant="text"
                    :disabled="busy"
                    @click="record([{ kind: 'left', alarm: of.id }])"
                    >Mark as normal</v-btn
                  >
                  <v-btn
                    v-if="of.kind === 'stopped' && of.rows.some((row) => !run.shut.includes(row))"
                    variant="text"
                    :disabled="busy"
                    @click="shut(of)"
                    >Shut off on purpose</v-btn
                  >
                </template>
              </template>
            </span>
          </div>
        </li>
      </ol>
    </div>
  </section>
</template>

<style scoped>
h2,
p {
  margin: 4px 0;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr);
  gap: 8px;
  padding: 10px 0 0;
  border-top: 1px solid var(--line);
}
.quiet {
  display: block;
}
.over strong {
  color: var(--ink-2);
}
.does {
  display: flex;
  flex-wrap: wrap;
  margin-left: -16px;
}
</style>
