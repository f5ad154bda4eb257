<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import type { MixNote } from '#core/rules/localRule'

/** What this crew found when two products met in a jar or a tank. */
const mixes = defineModel<readonly MixNote[]>({ required: true })
const library = useLibraryStore()
const names = computed(() => library.products.map(({ name }) => ({ name })))
onMounted(() => {
  library.want()
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
</script>

<template>
  <section aria-labelledby="mixes-title" class="space-y-2">
    <h2 id="mixes-title">Jar tests</h2>
    <p class="soft small">
      Pairs the crew has tried. A pair that was never mixed asks for a jar test on the sheet; the label goes
      before any of it.
    </p>
    <div
      v-for="mix in mixes"
      :key="mix.id"
      class="grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.4fr_1.4fr_1fr_1.4fr_auto]"
    >
      <NameField label="This product" :text="mix.a" :names="names" @change="change(mix.id, { a: $event })" />
      <NameField label="and this" :text="mix.b" :names="names" @change="change(mix.id, { b: $event })" />
      <ChoiceField
        label="They"
        :value="mix.verdict"
        :choices="verdicts"
        @change="change(mix.id, { verdict: $event })"
      />
      <TextField label="What was seen" :text="mix.words" @change="change(mix.id, { words: $event })" />
      <UButton variant="link" size="sm" @click="mixes = mixes.filter(({ id }) => id !== mix.id)">
        Remove
      </UButton>
    </div>
    <UButton variant="link" size="sm" @click="add">Add a pair</UButton>
  </section>
</template>
