<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
/** One job: its sheet, saved as it is typed. */
const id = String(useRoute().params.id)
const crew = useCrewStore()
const notice = useNotice()
const { draft, stored, saveState, loadProblem, load, change, save, keepMine, takeTheirs } = useJobDraft(id)
const { start } = useRun(id)
await load()
useHead({ title: () => `${draft.value?.site || 'New job'} · Hectarum` })

const state = computed(() => (stored.value?.state === 'running' || stored.value?.state === 'done' ? stored.value.state : draft.value?.state ?? 'draft'))

async function plan() {
  change({ state: 'planned' })
  await save()
  if (saveState.value.kind === 'saved') notice.say(`Planned for ${dayText(draft.value?.plannedFor ?? '')}`)
}

async function run() {
  await save()
  if (saveState.value.kind !== 'saved') return
  try {
    await start()
    await navigateTo(`/jobs/${id}/log`)
  }
  catch (error) {
    notice.say('The run was not started.', errorText(error))
  }
}

/** A planned job that is changed into something that can't be worked out goes back to a draft, so that it can still be saved. */
function take(fields: Parameters<typeof change>[0]) {
  change(fields)
  if (saveState.value.kind !== 'conflict' && draft.value?.state === 'planned' && fields.application && !isWhole(fields.application.document, crew.today())) change({ state: 'draft' })
}
</script>

<template>
  <JobSheet v-if="draft" :id="id" :draft="draft" :state="state" :save-state="saveState" @change="take" @plan="plan" @run="run">
    <ConflictBar v-if="saveState.kind === 'conflict'" :mine="draft" :theirs="saveState.theirs" @keep="keepMine" @take="takeTheirs" />
  </JobSheet>
  <EmptyState v-else :words="loadProblem ?? 'Opening …'" action="See all jobs" to="/jobs" />
</template>
