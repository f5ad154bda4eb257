<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { LOCAL_RULE_KINDS, type LocalRule } from '#core/rules/localRule'

/** What a region, a town or a client forbids: the crew's own table, checked on every job. */
const rules = defineModel<readonly LocalRule[]>({ required: true })
const LIMITED: Readonly<Partial<Record<LocalRule['kind'], string>>> = {
  'nitrogen in one go': 'lb N / 1,000 ft²',
  'nitrogen in a year': 'lb N / 1,000 ft²',
  'buffer to water': 'ft',
}
const kinds = LOCAL_RULE_KINDS.map((value) => ({ value, text: value }))
const change = (id: string, fields: Partial<LocalRule>) => {
  rules.value = rules.value.map((rule) => (rule.id === id ? { ...rule, ...fields } : rule))
}
const add = () => {
  rules.value = [...rules.value, { id: uuid(), kind: 'no nitrogen', from: '', to: '', limit: '', source: '' }]
}
const text = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <section aria-labelledby="local-title" class="space-y-2">
    <h2 id="local-title">Local rules</h2>
    <p class="soft small">
      Yours to keep up to date: look them up where you work. A job that breaks one is stopped.
    </p>
    <div
      v-for="rule in rules"
      :key="rule.id"
      class="grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.4fr_84px_84px_1fr_1.6fr_auto]"
    >
      <ChoiceField
        label="Rule"
        :value="rule.kind"
        :choices="kinds"
        @change="change(rule.id, { kind: $event })"
      />
      <LabelledField v-slot="{ id }" label="From"
        ><input
          :id="id"
          class="field"
          :value="rule.from"
          placeholder="12-01"
          maxlength="5"
          @input="change(rule.id, { from: text($event) })"
      /></LabelledField>
      <LabelledField v-slot="{ id }" label="to"
        ><input
          :id="id"
          class="field"
          :value="rule.to"
          placeholder="03-15"
          maxlength="5"
          @input="change(rule.id, { to: text($event) })"
      /></LabelledField>
      <LabelledField v-slot="{ id }" :label="LIMITED[rule.kind] ?? 'Limit'"
        ><input
          :id="id"
          class="field"
          :value="rule.limit"
          :disabled="!LIMITED[rule.kind]"
          inputmode="decimal"
          maxlength="20"
          @input="change(rule.id, { limit: text($event) })"
      /></LabelledField>
      <LabelledField v-slot="{ id }" label="Where it stands"
        ><input
          :id="id"
          class="field"
          :value="rule.source"
          maxlength="200"
          placeholder="ordinance, contract"
          @input="change(rule.id, { source: text($event) })"
      /></LabelledField>
      <button
        type="button"
        class="plain-button way-out small pb-1.5"
        @click="rules = rules.filter(({ id }) => id !== rule.id)"
      >
        Remove
      </button>
    </div>
    <button type="button" class="plain-button way-out small" @click="add">Add a rule</button>
  </section>
</template>
