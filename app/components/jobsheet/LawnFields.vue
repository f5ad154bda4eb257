<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { INSTRUMENTS } from '#core/ground/netArea'
import { SHAPE_KINDS, SHAPE_LENGTHS } from '#core/ground/shapes'
import { blankPart } from '#core/jobsheet/blankDocument'
import type { LawnNote, LawnPart } from '#core/jobsheet/document'
import { AREA_UNITS, LENGTH_UNITS } from '#core/quantity/units'

/** The field notes of one lawn: shapes added and taken away, each with its taped lengths. */
const props = defineProps<{ lawn: LawnNote, index: number }>()
const { set, locked, problemAt } = useSheet()
const crew = useCrewStore()
const path = computed(() => `lawns.${props.index}`)
const shapes = [...SHAPE_KINDS.map((shape) => ({ value: shape, text: shape })), { value: 'known', text: 'size known' }] as const
const signs = [{ value: 'add', text: 'add' }, { value: 'subtract', text: 'take away' }] as const
const instruments = INSTRUMENTS.map((instrument) => ({ value: instrument, text: { tape: 'tape', wheel: 'measuring wheel', paced: 'paced' }[instrument] }))
const LENGTHS: Readonly<Record<string, string>> = { length: 'Length', width: 'Width', base: 'Base', height: 'Height', side: 'Side', opposite: 'Opposite side', diameter: 'Diameter' }

const addPart = (sign: LawnPart['sign']) => set(`${path.value}.parts`, [...props.lawn.parts, blankPart(uuid(), sign, 'rectangle', crew.units)])
const dropPart = (id: string) => set(`${path.value}.parts`, props.lawn.parts.filter((part) => part.id !== id))
const lengthsOf = (part: LawnPart) => (part.shape === 'known' ? [] : SHAPE_LENGTHS[part.shape])
const blank = { text: '', unit: 'ft' } as const
</script>

<template>
  <div class="space-y-2 pb-2">
    <div class="grid grid-cols-2 gap-2">
      <SheetText :path="`${path}.name`" label="Name" :text="lawn.name" :placeholder="`Lawn ${index + 1}`" />
      <SheetChoice :path="`${path}.instrument`" label="Measured with" :value="lawn.instrument" :choices="instruments" />
    </div>
    <div v-for="(part, i) in lawn.parts" :key="part.id" class="part" :class="part.sign">
      <div class="grid grid-cols-2 gap-2">
        <SheetChoice v-if="i > 0" :path="`${path}.parts.${i}.sign`" label="This shape" :value="part.sign" :choices="signs" />
        <SheetChoice :path="`${path}.parts.${i}.shape`" label="Shape" :value="part.shape" :choices="shapes" />
        <SheetQuantity v-if="part.shape === 'known'" :path="`${path}.parts.${i}.size`" label="Size" kind="area" :entered="part.size" :units="AREA_UNITS" />
        <SheetQuantity
          v-for="name in lengthsOf(part)" :key="name" :path="`${path}.parts.${i}.lengths.${name}`" :label="LENGTHS[name] ?? name" kind="length"
          :entered="part.lengths[name] ?? blank" :units="LENGTH_UNITS"
        />
      </div>
      <p v-if="problemAt(`${path}.parts.${i}`)" class="problem small" role="alert">{{ problemAt(`${path}.parts.${i}`)?.message }}</p>
      <button v-if="lawn.parts.length > 1 && !locked" type="button" class="plain-button way-out small" @click="dropPart(part.id)">Remove this shape</button>
    </div>
    <div v-if="!locked" class="flex gap-4">
      <button type="button" class="plain-button way-out small" @click="addPart('add')">Add a shape</button>
      <button type="button" class="plain-button way-out small" @click="addPart('subtract')">Take a shape away</button>
    </div>
  </div>
</template>

<style scoped>
.part.subtract { border-left: 3px solid var(--rule-strong); padding-left: 8px; }
.problem { color: var(--stop); font-weight: 600; }
</style>
