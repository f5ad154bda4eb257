<script setup lang="ts">
import { counted } from '#core/quantity/counting'
import { prettyUnits } from '#core/quantity/systems'
import type { Check } from '#core/rules/check'

/** Checks: one sentence each, its source, and the way out one press away. */
const { sheet, locked } = useSheet()
const { go, follow } = useRemedies()
const library = useLibraryStore()
const working = useWorkingStore()
const MARKS: Readonly<Record<Check['level'], { readonly icon: string; readonly word: string }>> = {
  stop: { icon: 'i-lucide-octagon-x', word: 'Stop' },
  warn: { icon: 'i-lucide-triangle-alert', word: 'Warning' },
  note: { icon: 'i-lucide-info', word: 'Note' },
}
const wrong = computed(() => sheet.value.problems.filter(({ kind }) => kind === 'wrong'))
const summary = computed(() => {
  const count = (level: Check['level']) => sheet.value.checks.filter((check) => check.level === level).length
  const [stops, warnings] = [count('stop') + wrong.value.length, count('warn')]
  const parts = [stops > 0 && counted(stops, 'stop'), warnings > 0 && counted(warnings, 'warning')].filter(
    Boolean,
  )
  if (parts.length > 0) return parts.join(', ')
  return sheet.value.plan ? 'nothing in the way' : 'not worked out yet'
})
</script>

<template>
  <section aria-labelledby="checks-title">
    <div class="flex items-baseline justify-between gap-2">
      <h2 id="checks-title">Checks</h2>
      <span class="soft small" aria-live="polite">{{ summary }}</span>
    </div>
    <ul>
      <li v-for="problem in wrong" :key="problem.path" class="rule-b check stop">
        <UIcon name="i-lucide-octagon-x" class="sign" />
        <div>
          <p><span class="sr-only">Stop: </span>{{ problem.message }}</p>
          <UButton variant="link" size="sm" @click="go(problem.path)">Put it right</UButton>
        </div>
      </li>
      <li v-if="library.ledgerState === 'missing' && !locked" class="rule-b check warn">
        <UIcon name="i-lucide-triangle-alert" class="sign" />
        <p>
          <span class="sr-only">Warning: </span>What lies on these lawns could not be read: intervals and
          limits of the year are not checked here. The server asks them again before a run.
        </p>
      </li>
      <li
        v-for="(check, i) in sheet.checks"
        :key="`${check.code}-${i}`"
        class="rule-b check"
        :class="check.level"
      >
        <UIcon :name="MARKS[check.level].icon" class="sign" />
        <div class="min-w-0">
          <p :id="`check-${i}`">
            <span class="sr-only">{{ MARKS[check.level].word }}: </span>{{ prettyUnits(check.message) }}
          </p>
          <p class="soft small">
            {{ check.source
            }}<template v-if="check.working">
              ·
              <ULink
                raw
                class="why"
                :aria-describedby="`check-${i}`"
                @click="working.show(typeof check.working === 'string' ? check.working : `check.${i}`)"
              >
                working
              </ULink></template
            >
          </p>
          <div v-if="!locked" class="flex flex-wrap gap-x-4">
            <UButton
              v-for="remedy in check.remedies"
              :key="remedy.label"
              variant="link"
              size="sm"
              @click="follow(remedy)"
            >
              {{ prettyUnits(remedy.label) }}
            </UButton>
          </div>
        </div>
      </li>
      <li
        v-if="sheet.plan && wrong.length === 0 && sheet.checks.length === 0 && library.ledgerState === 'read'"
        class="rule-b check good"
      >
        <UIcon name="i-lucide-circle-check" class="sign" />
        <p>Inside every limit that has been entered.</p>
      </li>
    </ul>
    <NitrogenYear />
    <YearLeftList />
    <CostLines />
    <p class="soft small mt-3">
      The label is the law; this sheet replaces neither it nor a licence nor local rules. Wear what the label
      asks for; keep people and pets off as it says.
    </p>
  </section>
</template>

<style scoped>
.check {
  display: grid;
  grid-template-columns: 18px 1fr;
  gap: 7px;
  padding: 8px 0;
  line-height: 1.35;
}
.why {
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  min-height: 24px;
}
.sign {
  width: 17px;
  height: 17px;
  margin-top: 2px;
}
.stop .sign {
  color: var(--stop);
}
.warn .sign {
  color: var(--warn);
}
.note .sign {
  color: var(--soft);
}
.good .sign {
  color: var(--good);
}
.stop p:first-child {
  font-weight: 600;
}
</style>
