<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankLawn } from '#core/jobsheet/blankDocument'

/** The lawns of the application: ticked ones are treated; each opens to its field notes. */
const { document, sheet, set, locked, opened, problemAt } = useSheet()
const crew = useCrewStore()
const shown = useShown()
const total = computed(() => sheet.value.lawns.reduce((sum, { size }) => sum + (size ?? 0), 0))

function addLawn() {
  const index = document.value.lawns.length
  set('lawns', [...document.value.lawns, blankLawn({ lawn: uuid(), part: uuid() }, crew.units)])
  opened.add(`lawns.${index}`)
}
const dropLawn = (id: string) => set('lawns', document.value.lawns.filter((lawn) => lawn.id !== id))
</script>

<template>
  <section aria-labelledby="ground-title">
    <div class="flex items-baseline justify-between">
      <h2 id="ground-title">Ground</h2>
      <span v-if="total > 0" class="soft small">{{ shown.size(sheet.size).figure }} of <FigureText :shown="shown.size(total)" /></span>
    </div>
    <ul>
      <li v-for="(lawn, index) in document.lawns" :key="lawn.id" class="rule-b py-1">
        <SheetFold :section="`lawns.${index}`" :words="lawn.name || `lawn ${index + 1}`">
          <template #line>
            <div class="flex items-center gap-2">
              <input
                :id="`treat-${lawn.id}`" type="checkbox" class="tick" :data-path="`lawns.${index}.treated`" :checked="lawn.treated === 'yes'" :disabled="locked"
                @change="set(`lawns.${index}.treated`, ($event.target as HTMLInputElement).checked ? 'yes' : 'no')"
              >
              <label :for="`treat-${lawn.id}`" class="min-w-0 flex-1" :class="{ soft: lawn.treated === 'no' }">{{ lawn.name || `Lawn ${index + 1}` }}</label>
              <strong v-if="sheet.lawns[index]?.size" class="whitespace-nowrap">
                <FigureText :shown="shown.size(sheet.lawns[index]!.size!)" :page="`lawns.${lawn.id}.size`" :label="lawn.name" />
              </strong>
              <span v-else class="soft small">to measure</span>
            </div>
          </template>
          <LawnFields :lawn="lawn" :index="index" />
          <button v-if="document.lawns.length > 1 && !locked" type="button" class="plain-button way-out small pb-2" @click="dropLawn(lawn.id)">Remove this lawn</button>
        </SheetFold>
      </li>
    </ul>
    <p v-if="problemAt('lawns.0.treated')" class="small soft">{{ problemAt('lawns.0.treated')?.message }}</p>
    <button v-if="!locked" type="button" class="plain-button way-out small mt-1" @click="addLawn">Add a lawn</button>
  </section>
</template>

<style scoped>
.tick { width: 16px; height: 16px; accent-color: var(--ink); flex: none; }
@media (pointer: coarse) { .tick { width: 24px; height: 24px; } }
</style>
