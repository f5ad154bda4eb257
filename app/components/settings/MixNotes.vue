<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import type { MixNote } from '#core/rules/localRule'

/** What this crew found when two products met in a jar or a tank. */
const mixes = defineModel<readonly MixNote[]>({ required: true })
const library = useLibraryStore()
const listId = useId()
onMounted(() => {
  if (library.products.length === 0) void library.load().catch(() => undefined)
})
const verdicts = [
  { value: 'mixes', text: 'mix well' },
  { value: 'never', text: 'must not meet' },
] as const
const change = (id: string, fields: Partial<MixNote>) => {
  mixes.value = mixes.value.map((mix) => (mix.id === id ? { ...mix, ...fields } : mix))
}
const add = () => {
  mixes.value = [...mixes.value, { id: uuid(), a: '', b: '', verdict: 'mixes', words: '' }]
}
const text = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <section aria-labelledby="mixes-title" class="space-y-2">
    <h2 id="mixes-title">Jar tests</h2>
    <p class="soft small">
      Pairs the crew has tried. A pair that was never mixed asks for a jar test on the sheet; the label goes
      before any of it.
    </p>
    <datalist :id="listId">
      <option v-for="one in library.products" :key="one.id" :value="one.name" />
    </datalist>
    <div
      v-for="mix in mixes"
      :key="mix.id"
      class="grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.4fr_1.4fr_1fr_1.4fr_auto]"
    >
      <LabelledField v-slot="{ id }" label="This product"
        ><input
          :id="id"
          class="field"
          :value="mix.a"
          :list="listId"
          maxlength="200"
          @input="change(mix.id, { a: text($event) })"
      /></LabelledField>
      <LabelledField v-slot="{ id }" label="and this"
        ><input
          :id="id"
          class="field"
          :value="mix.b"
          :list="listId"
          maxlength="200"
          @input="change(mix.id, { b: text($event) })"
      /></LabelledField>
      <ChoiceField
        label="They"
        :value="mix.verdict"
        :choices="verdicts"
        @change="change(mix.id, { verdict: $event })"
      />
      <LabelledField v-slot="{ id }" label="What was seen"
        ><input
          :id="id"
          class="field"
          :value="mix.words"
          maxlength="200"
          @input="change(mix.id, { words: text($event) })"
      /></LabelledField>
      <button
        type="button"
        class="plain-button way-out small pb-1.5"
        @click="mixes = mixes.filter(({ id }) => id !== mix.id)"
      >
        Remove
      </button>
    </div>
    <button type="button" class="plain-button way-out small" @click="add">Add a pair</button>
  </section>
</template>
