<script setup lang="ts">
import { USUAL_PROGRAM_NAMES, usualProgram, type UsualProgram } from '#core/program/usualPrograms'
import { counted } from '#core/quantity/counting'
import type { Program } from '#shared/schemas/program'
import type { RowColumn } from '~/components/field/RowTable.vue'
import { v7 as uuid } from 'uuid'

/** Programs of the crew: named lists of steps, and on how many lawns each stands. */
useHead({ title: 'Programs · Hectarum' })
const crew = useCrewStore()
const person = useSelfStore()
const begin = useNewRow()
const { answer: programs, problem, loading, again } = useAnswers(questions.programs)
const { answer: applied } = useAnswers(questions.areaPrograms)
const COLUMNS: readonly RowColumn<Program>[] = [
  { key: 'name', head: 'Program', sort: ({ name }) => name.toLowerCase() },
  { key: 'steps', head: 'Steps', from: 'laptop' },
  { key: 'lawns', head: 'Lawns' },
]
const lawnsOf = ({ id }: Program) => applied.value.filter(({ programId }) => programId === id).length
const open = (id: string) => `/season/programs/${id}`
const start = (name: UsualProgram) =>
  begin(
    { name: name[0]!.toUpperCase() + name.slice(1), document: usualProgram(name, crew.units, uuid) },
    open,
  )
const blank = () => begin({ name: '', document: { schema: 1, lawn: '', steps: [], notes: '' } }, open)
const menu = computed(() => [
  ...USUAL_PROGRAM_NAMES.map((name) => ({ label: `For a ${name}`, onSelect: () => start(name) })),
  { label: 'With no step yet', onSelect: blank },
])
</script>

<template>
  <div>
    <SeasonTabs />
    <ListPlace
      name="Programs"
      :loading="loading"
      :problem="problem"
      :empty="
        programs.length === 0
          ? { words: 'No program yet. One names the steps of a year; applied to a lawn they are dated.' }
          : undefined
      "
      @retry="again"
    >
      <template #head>
        <UDropdownMenu v-if="person.may('work')" :items="menu" :content="{ align: 'end' }">
          <UButton
            class="ms-auto"
            label="New program"
            color="primary"
            variant="solid"
            trailing-icon="i-lucide-chevron-down"
          />
        </UDropdownMenu>
      </template>
      <RowTable
        caption="Programs"
        :rows="programs"
        :columns="COLUMNS"
        :key-of="({ id }) => id"
        :to="({ id }) => open(id)"
      >
        <template #name="{ row }">{{ row.name }}</template>
        <template #under="{ row }">{{ counted(row.document.steps.length, 'step') }}</template>
        <template #steps="{ row }"
          ><span class="small soft">{{
            row.document.steps.map(({ title }) => title).join(', ')
          }}</span></template
        >
        <template #lawns="{ row }">{{ lawnsOf(row) }}</template>
      </RowTable>
    </ListPlace>
  </div>
</template>
