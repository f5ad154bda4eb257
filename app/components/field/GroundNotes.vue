<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { INSTRUMENTS } from '#core/ground/netArea'
import { SHAPE_KINDS, SHAPE_LENGTHS } from '#core/ground/shapes'
import { blankPart } from '#core/ground/blankArea'
import type { FieldNotes, LawnPart } from '#core/ground/fieldNotes'
import { AREA_UNITS, LENGTH_UNITS } from '#core/quantity/units'

/** Field notes of a piece of ground: shapes added and taken away, each with its measured lengths. `path` is where they stand; blank at the root. */
const props = defineProps<{ notes: FieldNotes, path: string }>()
const { set, locked, problemAt } = useForm()
const crew = useCrewStore()
const shapes = [...SHAPE_KINDS.map((shape) => ({ value: shape, text: shape })), { value: 'known', text: 'size known' }] as const
const signs = [{ value: 'add', text: 'add' }, { value: 'subtract', text: 'take away' }] as const
const instruments = INSTRUMENTS.map((instrument) => ({ value: instrument, text: { tape: 'tape', wheel: 'measuring wheel', paced: 'paced' }[instrument] }))
const LENGTHS: Readonly<Record<string, string>> = { length: 'Length', width: 'Width', base: 'Base', height: 'Height', side: 'Side', opposite: 'Opposite side', diameter: 'Diameter' }

const addPart = (sign: LawnPart['sign']) => set(`${props.path}.parts`, [...props.notes.parts, blankPart(uuid(), sign, 'rectangle', crew.units)])
const dropPart = (id: string) => set(`${props.path}.parts`, props.notes.parts.filter((part) => part.id !== id))
const lengthsOf = (part: LawnPart) => (part.shape === 'known' ? [] : SHAPE_LENGTHS[part.shape])
const blank = { text: '', unit: 'ft' } as const
</script>

<template>
  <div class="space-y-2 pb-2">
    <div class="fields">
      <FormQuantity :path="`${path}.slope`" label="Slope" kind="percent" :entered="notes.slope ?? { text: '', unit: '%' }" />
      <FormChoice :path="`${path}.instrument`" label="Measured with" :value="notes.instrument" :choices="instruments" />
    </div>
    <div v-for="(part, i) in notes.parts" :key="part.id" class="part" :class="part.sign">
      <div class="fields">
        <FormChoice v-if="i > 0" :path="`${path}.parts.${i}.sign`" label="This shape" :value="part.sign" :choices="signs" />
        <FormChoice :path="`${path}.parts.${i}.shape`" label="Shape" :value="part.shape" :choices="shapes" />
        <FormQuantity v-if="part.shape === 'known'" :path="`${path}.parts.${i}.size`" label="Size" kind="area" :entered="part.size" :units="AREA_UNITS" />
        <FormQuantity
          v-for="name in lengthsOf(part)" :key="name" :path="`${path}.parts.${i}.lengths.${name}`" :label="LENGTHS[name] ?? name" kind="length"
          :entered="part.lengths[name] ?? blank" :units="LENGTH_UNITS"
        />
        <template v-if="part.sign === 'subtract'">
          <FormText :path="`${path}.parts.${i}.what`" label="What it is" :text="part.what ?? ''" placeholder="bed, house, seeded" />
          <DayField label="Taken away until" :day="part.until ?? ''" :path="`${path}.parts.${i}.until`" :locked="locked" @change="set(`${path}.parts.${i}.until`, $event)" />
        </template>
      </div>
      <p v-if="problemAt(`${path}.parts.${i}`)" class="problem small" role="alert">{{ problemAt(`${path}.parts.${i}`)?.message }}</p>
      <button v-if="notes.parts.length > 1 && !locked" type="button" class="plain-button way-out small" @click="dropPart(part.id)">Remove this shape</button>
    </div>
    <div v-if="!locked" class="flex gap-4">
      <button type="button" class="plain-button way-out small" @click="addPart('add')">Add a shape</button>
      <button type="button" class="plain-button way-out small" @click="addPart('subtract')">Take a shape away</button>
    </div>
  </div>
</template>

<style scoped>
.fields { display: grid; grid-template-columns: repeat(auto-fill, minmax(122px, 1fr)); gap: 8px; }
.part.subtract { border-left: 3px solid var(--rule-strong); padding-left: 8px; }
.problem { color: var(--stop); font-weight: 600; }
</style>
