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
      class="grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.4fr_8.5rem_8.5rem_15rem_1fr_auto]"
    >
      <ChoiceField label="Rule" :value="rule.kind" :choices="kinds" @change="changeKind(rule, $event)" />
      <YearDayField
        label="From"
        :day="rule.from"
        placeholder="e.g. 1 Dec"
        @change="change(rule.id, { from: $event })"
      />
      <YearDayField
        label="to"
        :day="rule.to"
        placeholder="e.g. 15 Mar"
        @change="change(rule.id, { to: $event })"
      />
      <div
        v-if="LOCAL_RULES[rule.kind].limit !== 'none'"
        class="col-span-2 grid grid-cols-[5rem_1fr] gap-1 sm:col-span-1"
      >
        <TextField
          label="Limit"
          :text="rule.limit"
          inputmode="decimal"
          :maxlength="20"
          @change="change(rule.id, { limit: $event })"
        />
        <ChoiceField
          label="in"
          :value="rule.unit ?? (localLimitUnits(rule.kind)[0] as LocalLimitUnit)"
          :choices="unitsOf(rule.kind)"
          @change="change(rule.id, { unit: $event })"
        />
      </div>
      <p v-else class="soft small pb-1.5">forbids outright</p>
      <TextField
        label="Where it stands"
        :text="rule.source"
        placeholder="ordinance, contract"
        @change="change(rule.id, { source: $event })"
      />
      <UButton variant="link" size="sm" @click="rules = rules.filter(({ id }) => id !== rule.id)">
        Remove
      </UButton>
    </div>
    <UButton variant="link" size="sm" @click="add">Add a rule</UButton>
  </section>
</template>
