<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { unitText } from '#core/quantity/systems'
import {
  LOCAL_RULE_KINDS,
  LOCAL_RULES,
  localLimitUnits,
  type LocalLimitUnit,
  type LocalRule,
} from '#core/rules/localRule'

/** What a region, a town or a client forbids: the crew's own table, checked on every job. */
const rules = defineModel<readonly LocalRule[]>({ required: true })
const kinds = LOCAL_RULE_KINDS.map((value) => ({ value, text: value }))
const unitsOf = (kind: LocalRule['kind']) =>
  localLimitUnits(kind).map((value) => ({ value, text: unitText(value) }))
const change = (id: string, fields: Partial<LocalRule>) => {
  rules.value = rules.value.map((rule) => (rule.id === id ? { ...rule, ...fields } : rule))
}
/** A unit of another kind of limit would say nothing here. */
function changeKind(rule: LocalRule, kind: LocalRule['kind']) {
  const fits = LOCAL_RULES[kind].limit === LOCAL_RULES[rule.kind].limit
  change(rule.id, fits ? { kind } : { kind, unit: undefined })
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
      class="grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.3fr_76px_76px_1.6fr_1.3fr_auto]"
    >
      <ChoiceField label="Rule" :value="rule.kind" :choices="kinds" @change="changeKind(rule, $event)" />
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
      <div v-if="LOCAL_RULES[rule.kind].limit !== 'none'" class="grid grid-cols-2 gap-1">
        <LabelledField v-slot="{ id }" label="Limit"
          ><input
            :id="id"
            class="field"
            :value="rule.limit"
            inputmode="decimal"
            maxlength="20"
            @input="change(rule.id, { limit: text($event) })"
        /></LabelledField>
        <ChoiceField
          label="in"
          :value="rule.unit ?? (localLimitUnits(rule.kind)[0] as LocalLimitUnit)"
          :choices="unitsOf(rule.kind)"
          @change="change(rule.id, { unit: $event })"
        />
      </div>
      <p v-else class="soft small pb-1.5">forbids outright</p>
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
