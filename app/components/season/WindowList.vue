<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { WHY_SOIL, type WindowOpinion } from '#core/season/cues/windowOpinions'
import type { SeasonPage } from '#shared/schemas/season'

/** The windows of a lawn by its soil, with what the other schools of timing say beside each. */
const props = defineProps<{ page: SeasonPage }>()
const opinionsOf = (name: string) => props.page.opinions.filter((one) => one.name === name)
const BY = { cues: 'By what was seen', calendar: 'By the calendar' } as const
const told = ({ by, says, words, agrees }: WindowOpinion) => {
  const other = agrees === false ? `, otherwise than the soil` : ''
  return says === 'silent' ? `${BY[by]}: ${words}` : `${BY[by]}, ${says}${other}. ${words}`
}
</script>

<template>
  <div>
    <dl class="windows">
      <template v-for="one in page.season.windows" :key="one.name">
        <dt>{{ WINDOW_TITLES[one.name] }}</dt>
        <dd>
          <strong>{{ STATE_WORDS[one.state] }}</strong><span v-if="datesOf(one)"> · {{ datesOf(one) }}</span
          ><span class="soft small block">{{ one.reason }}</span>
          <span
            v-for="opinion in opinionsOf(one.name)"
            :key="opinion.by"
            class="small block"
            :class="{ soft: opinion.agrees !== false }"
            >{{ told(opinion) }}</span
          >
        </dd>
      </template>
    </dl>
    <p class="soft small mt-3">{{ WHY_SOIL }}</p>
    <p v-if="page.cues.length > 0" class="soft small mt-1">
      Seen here: {{ page.cues.map(({ on, kind }) => `${kind}, ${dayText(on)}`).join('; ') }}.
    </p>
  </div>
</template>

<style scoped>
.windows {
  display: grid;
  grid-template-columns: minmax(120px, auto) minmax(0, 1fr);
  gap: 8px 16px;
  margin-top: 8px;
}
@media (max-width: 760px) {
  .windows {
    display: block;
  }
  dd {
    margin-bottom: 8px;
  }
}
</style>
