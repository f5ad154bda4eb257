<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import { v7 as uuid } from 'uuid'
import { walkedTool } from '#core/calibration/equipmentDocument'
import type { ToolDocument } from '#core/calibration/equipmentShape'
import { RUNS_WANTED, toolWords, type ToolReading } from '#core/ground/toolCourse'
import type { TapedCourse } from '#core/ground/tapedCourse'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import type { SpanUnit } from '#core/quantity/units'

/**
 * Calibrating a stride or a wheel: a taped length walked three times or more, with what it comes to as the
 * runs come in.
 */
const props = defineProps<{ document: ToolDocument; tool?: ToolReading }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const kind = computed(() => walkedTool(props.document.type) ?? 'stride')
const course = computed<TapedCourse>(
  () =>
    props.document.course ?? {
      distance: { text: '', unit: SYSTEM_UNITS[crew.units].length },
      on: '',
      runs: [],
    },
)
const unit = computed<SpanUnit>(() => (kind.value === 'stride' ? 'paces' : course.value.distance.unit))
const earlier = computed(() =>
  [
    props.document.length.text && `${props.document.length.text} ${props.document.length.unit}`,
    props.document.factor && `factor ${props.document.factor}`,
  ]
    .filter(Boolean)
    .join(', '),
)
const put = (fields: Partial<TapedCourse>) => set('document.course', { ...course.value, ...fields })
const add = () =>
  put({
    on: course.value.on || crew.today(),
    runs: [...course.value.runs, { id: uuid(), read: { text: '', unit: unit.value } }],
  })
</script>

<template>
  <div class="col-span-full space-y-2">
    <p class="soft small">
      Tape a level length on the grass you work on, walk it at your working pace, and note what you
      {{ kind === 'stride' ? 'count' : 'read' }}; part of a pace counts as a part.
    </p>
    <div class="fields">
      <QuantityField
        path="document.course.distance"
        :entered="course.distance"
        :locked="locked"
        @change="put({ distance: $event })"
      />
      <DayField
        label="Walked on"
        :day="course.on"
        path="document.course.on"
        :locked="locked"
        @change="put({ on: $event })"
      />
    </div>
    <div class="fields">
      <QuantityField
        v-for="(run, i) in course.runs"
        :key="run.id"
        :path="`document.course.runs.${i}.read`"
        :label="`Run ${i + 1}`"
      />
    </div>
    <p v-if="!locked" class="small flex flex-wrap gap-4">
      <UButton variant="link" size="sm" @click="add">
        {{ course.runs.length === 0 ? 'First run' : 'Another run' }}
      </UButton>
      <UButton
        v-if="course.runs.length > 0"
        variant="link"
        size="sm"
        @click="put({ runs: course.runs.slice(0, -1) })"
      >
        Take the last away
      </UButton>
    </p>
    <p v-if="earlier" class="soft small">Noted earlier, without runs: {{ earlier }}.</p>
    <p v-if="tool" role="status">
      <strong
        ><FigureText
          :shown="{ figure: toolWords(tool, course.distance.unit), unit: '' }"
          page="tool"
          label="What it comes to"
      /></strong>
      <span v-if="course.runs.length < RUNS_WANTED" class="soft small">
        {{ RUNS_WANTED - course.runs.length }} more
        {{ plural(RUNS_WANTED - course.runs.length, 'run') }} would show how steady it is.</span
      >
      <span v-else class="soft small">
        areas measured with it are good to {{ (400 * tool.scale).toFixed(1) }} %, give or take.</span
      >
    </p>
  </div>
</template>
