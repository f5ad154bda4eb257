<script setup lang="ts">
import { sumOf } from '#core/quantity/counting'
import { v7 as uuid } from 'uuid'
import { blankLawn } from '#core/draft/blankApplication'
import { lawnFromArea } from '#core/draft/fromLibrary'

/** The lawns of the application: ticked ones are treated; each opens to its field notes. */
const { document, sheet, set, locked, opened, problemAt, go } = useSheet()
const crew = useCrewStore()
const shown = useShown()
const total = computed(() => sumOf(sheet.value.lawns, ({ size }) => size ?? 0))

function addLawn() {
  const index = document.value.lawns.length
  set('lawns', [...document.value.lawns, blankLawn({ lawn: uuid(), part: uuid() }, crew.units)])
  opened.add(`lawns.${index}`)
  void go(`lawns.${index}.name`)
}
const library = useLibraryStore()
/** Areas of the site that this application doesn't name yet. */
const others = computed(() =>
  library.areas.filter(({ id }) => !document.value.lawns.some((lawn) => lawn.id === id)),
)
const addArea = (area: (typeof library.areas)[number]) =>
  set('lawns', [
    ...document.value.lawns.filter(
      ({ parts, source, name }) =>
        source ??
        (name ||
          parts.some(
            ({ lengths, size }) => size.text || Object.values(lengths).some((length) => length?.text),
          )),
    ),
    lawnFromArea(area, 'yes'),
  ])
const dropLawn = (id: string) =>
  set(
    'lawns',
    document.value.lawns.filter((lawn) => lawn.id !== id),
  )
</script>

<template>
  <section aria-labelledby="ground-title">
    <div class="flex items-baseline justify-between">
      <h2 id="ground-title">Ground</h2>
      <span v-if="total > 0" class="soft small"
        >{{ shown.size(sheet.size).figure }} of <FigureText :shown="shown.size(total)"
      /></span>
    </div>
    <ul>
      <li v-for="(lawn, index) in document.lawns" :key="lawn.id" class="rule-b py-1">
        <LawnRow
          :lawn="lawn"
          :index="index"
          :size="sheet.lawns[index]?.size"
          :removable="document.lawns.length > 1"
          @remove="dropLawn(lawn.id)"
        />
      </li>
    </ul>
    <p v-if="problemAt('lawns.0.treated')" class="small soft">{{ problemAt('lawns.0.treated')?.message }}</p>
    <div v-if="!locked" class="mt-1 flex flex-wrap gap-x-4">
      <UButton v-for="area in others" :key="area.id" variant="link" size="sm" @click="addArea(area)">
        Add {{ area.name }}
      </UButton>
      <UButton variant="link" size="sm" @click="addLawn">Add a lawn</UButton>
    </div>
  </section>
</template>
