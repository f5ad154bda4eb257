<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankPart } from '#core/ground/blankArea'
import type { FieldNotes, LawnPart } from '#core/ground/areaShape'
import { inInstrumentUnits } from '#core/ground/instrumentUnits'
import type { GroundStray } from '#core/ground/readFieldNotes'

/**
 * Field notes of a piece of ground: pieces added and taken away, each measured its own way. `path` is where
 * they stand.
 */
const props = defineProps<{ notes: FieldNotes; path: string; strays?: readonly GroundStray[] }>()
const { set, locked, go } = useForm()
const crew = useCrewStore()
const editor = useOutlineEditor()

function addPart(sign: LawnPart['sign'], shape: LawnPart['shape'] = 'rectangle') {
  const part = blankPart(uuid(), sign, shape, crew.units)
  const place = props.notes.parts.length
  const { parts } = inInstrumentUnits({ ...props.notes, parts: [...props.notes.parts, part] }, crew.units)
  set(`${props.path}.parts`, parts)
  if (shape === 'outline') return editor?.begin(part.id, 'draw')
  return go(`${props.path}.parts.${place}.shape`)
}
const dropPart = (id: string) =>
  set(
    `${props.path}.parts`,
    props.notes.parts.filter((part) => part.id !== id),
  )
</script>

<template>
  <div class="space-y-2 pb-2">
    <MeasuredWith :notes="notes" :path="path" />
    <PartNotes
      v-for="(part, i) in notes.parts"
      :key="part.id"
      :part="part"
      :index="i"
      :instrument="(part.with ?? notes).instrument"
      :path="`${path}.parts.${i}`"
      :only="notes.parts.length === 1"
      :stray="strays?.find(({ partId }) => partId === part.id)"
      @drop="dropPart(part.id)"
    />
    <div v-if="!locked" class="small flex flex-wrap gap-x-4">
      <UButton variant="link" size="sm" @click="addPart('add')">Add a shape</UButton>
      <UButton variant="link" size="sm" @click="addPart('subtract')"> Take a shape away </UButton>
      <template v-if="editor">
        <UButton variant="link" size="sm" @click="addPart('add', 'outline')"> Add an outline </UButton>
        <UButton variant="link" size="sm" @click="addPart('subtract', 'outline')">
          Take an outline away
        </UButton>
      </template>
    </div>
  </div>
</template>
