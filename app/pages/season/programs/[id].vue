<script setup lang="ts">
import { PROGRAM_TABLE } from '#core/program/programFields'
import { v7 as uuid } from 'uuid'
import { readProgram } from '#core/program/programDocument'
import type { ProgramStep } from '#core/program/programShape'
import { blankStep } from '#core/program/usualPrograms'
import type { Program, SaveProgram } from '#shared/schemas/program'
import type { SeasonPlace } from '#shared/schemas/season'

/** One program: its steps in their order, and the lawns it is applied to. */
const id = String(useRoute().params.id)
const crew = useCrewStore()
const library = useLibraryStore()
const notice = useNotice()
const person = useSelfStore()
const entry = useEntryForm<Program, SaveProgram, undefined>('programs', id, {
  draftOf: ({ version, name, document }) => ({ version, name, document }),
  fields: () => PROGRAM_TABLE,
  read: ({ document }, fields) => {
    readProgram(document, fields)
    return undefined
  },
})
const { draft, stored, load, form } = entry
const { answer: places } = useAnswers(questions.seasonPlaces)
const { answer: applied, again: readApplied } = useAnswers(questions.areaPrograms)
await load()
library.want()
useHead({ title: () => `${draft.value?.name || 'New program'} · Hectarum` })

const steps = computed(() => draft.value?.document.steps ?? [])
const openId = ref(steps.value[0]?.id)
const set = (list: readonly ProgramStep[]) => form.set('document.steps', list)
function add() {
  const step = blankStep(uuid(), crew.units)
  set([...steps.value, step])
  openId.value = step.id
  void form.go(`document.steps.${steps.value.length - 1}.title`)
}
const move = (from: number, to: number) => set(moved(steps.value, from, to))
const drop = (step: ProgramStep) => {
  const before = steps.value
  set(before.filter((one) => one.id !== step.id))
  notice.say(`${step.title || 'The step'} is gone.`, undefined, { label: 'Undo', act: () => set(before) })
}
const list = useTemplateRef('list')
useDragOrder(list, move)
const nameOf = (productId: string) => library.products.find((one) => one.id === productId)?.name
const standsOn = (areaId: string) => applied.value.find((one) => one.areaId === areaId)

/** Puts the program on a lawn, or takes it off. */
async function put(place: SeasonPlace, wanted: unknown) {
  const there = standsOn(place.areaId)
  try {
    if (wanted === true && !there)
      await tell('PUT', `/library/areaPrograms/${uuid()}`, {
        version: 0,
        areaId: place.areaId,
        programId: id,
        document: { schema: 1, changes: [], notes: '' },
      })
    if (wanted === false && there)
      await tell('DELETE', `/library/areaPrograms/${there.id}`, { version: there.version })
  } catch (error) {
    notice.say(`${place.area} stays as it was.`, errorText(error))
  }
  await readApplied()
}
const sites = computed(() => [...new Set(places.value.map(({ site }) => site))])
</script>

<template>
  <div>
    <SeasonTabs />
    <EntryPage
      :entry="entry"
      what="program"
      placeholder="Name of the program"
      back="All programs"
      back-to="/season/programs"
      away="See all programs"
    >
      <div v-if="draft" class="columns">
        <section aria-labelledby="steps-title">
          <div class="flex items-baseline gap-4">
            <h2 id="steps-title">Steps</h2>
            <UButton variant="link" size="sm" @click="add">Add a step</UButton>
          </div>
          <p v-if="steps.length === 0" class="soft">No step yet.</p>
          <ol ref="list">
            <li v-for="(step, i) in steps" :key="step.id" class="rule-b py-1">
              <div class="flex items-center gap-1">
                <DragGrip />
                <UButton
                  color="neutral"
                  variant="ghost"
                  block
                  class="line"
                  :aria-expanded="step.id === openId"
                  :trailing-icon="step.id === openId ? 'i-lucide-chevron-up' : 'i-lucide-chevron-down'"
                  @click="openId = step.id === openId ? undefined : step.id"
                >
                  <span class="min-w-0 flex-1 text-start">
                    <strong class="font-semibold">{{ step.title || 'Unnamed step' }}</strong>
                    <span v-if="step.kind" class="soft"> · {{ nameOf(step.productId) ?? step.kind }}</span>
                    <span class="small soft block">{{ whenWords(step, steps) }}</span>
                  </span>
                </UButton>
              </div>
              <div v-if="step.id === openId" class="open-step">
                <StepFields
                  :step="step"
                  :path="`document.steps.${i}`"
                  :steps="steps"
                  :products="library.products"
                />
                <p class="flex flex-wrap gap-x-4">
                  <UButton variant="link" size="sm" :disabled="i === 0" @click="move(i, i - 1)"
                    >Earlier</UButton
                  >
                  <UButton variant="link" size="sm" :disabled="i === steps.length - 1" @click="move(i, i + 1)"
                    >Later</UButton
                  >
                  <UButton variant="link" size="sm" @click="drop(step)">Remove this step</UButton>
                </p>
              </div>
            </li>
          </ol>
        </section>
        <section aria-labelledby="lawns-title">
          <h2 id="lawns-title">On these lawns</h2>
          <p v-if="!stored" class="soft small">Once the program has a name and is saved.</p>
          <div v-for="site in sites" :key="site" class="mt-2">
            <h3 class="small soft">{{ site }}</h3>
            <p
              v-for="place in places.filter((one) => one.site === site)"
              :key="place.areaId"
              class="flex items-center gap-2 py-1"
            >
              <UCheckbox
                :model-value="standsOn(place.areaId)?.programId === id"
                :label="place.area"
                :disabled="
                  !stored ||
                  !person.may('work') ||
                  (standsOn(place.areaId) !== undefined && standsOn(place.areaId)?.programId !== id) ||
                  (standsOn(place.areaId) !== undefined && !person.may('govern'))
                "
                @update:model-value="put(place, $event)"
              />
              <span
                v-if="standsOn(place.areaId) && standsOn(place.areaId)?.programId !== id"
                class="small soft ms-auto"
                >has another program</span
              >
              <NuxtLink
                v-if="standsOn(place.areaId)?.programId === id"
                :to="`/season/${place.areaId}`"
                class="way-out small ms-auto"
                >its dates<span class="sr-only"> on {{ place.area }}</span></NuxtLink
              >
            </p>
          </div>
        </section>
      </div>
    </EntryPage>
  </div>
</template>

<style scoped>
.line {
  padding: 6px 4px;
  white-space: normal;
  font-weight: 400;
}
.open-step {
  border-left: 3px solid var(--ink);
  padding: 4px 0 10px 14px;
  margin-left: 10px;
}
</style>
