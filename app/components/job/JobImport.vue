<script setup lang="ts">
import { v7 as uuid } from 'uuid'

/**
 * A job out of a JSON file, as a draft of this crew: nothing is stored before a figure is typed or it is
 * planned.
 */
const crew = useCrewStore()
const { beginJob } = useNewJob()
const problem = ref<string>()
const LARGEST_BYTES = 4_000_000

async function open(file: File) {
  problem.value =
    file.size > LARGEST_BYTES
      ? 'The file is far larger than a job. Is it the right one?'
      : await take(await file.text())
}

/** @returns what is wrong with the file; nothing when the job is open */
async function take(text: string): Promise<string | undefined> {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    return 'The file is not whole JSON: it was cut off or changed. Export it again.'
  }
  // Fetched when a file is really opened: most visits never do.
  const [v, { JobFileSchema }] = await Promise.all([import('valibot'), import('#shared/schemas/job')])
  const read = v.safeParse(JobFileSchema, value)
  if (!read.success)
    return `The file is no job as this tool writes it: ${read.issues
      .slice(0, 3)
      .map((issue) => `${v.getDotPath(issue) ?? 'the file'}: ${issue.message}`)
      .join('; ')}`
  const { site, purpose, plannedFor, applications } = read.output
  await beginJob({
    version: 0,
    site,
    siteId: null,
    purpose,
    plannedFor: plannedFor || crew.today(),
    state: 'draft',
    applications: applications.map(({ document }) => ({ id: uuid(), document })),
  })
  return undefined
}
</script>

<template>
  <div class="small mt-4">
    <FilePick label="Take in a job from a file" accept=".json,application/json" @file="open" />
    <p v-if="problem" role="alert" class="wrong">{{ problem }}</p>
  </div>
</template>

<style scoped>
.wrong {
  color: var(--stop);
  font-weight: 600;
}
</style>
