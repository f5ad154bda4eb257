<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankRateLine } from '#core/label/blankProduct'
import { asRateLine, printedWords } from '#core/label/print/asRateLine'
import { markedText } from '#core/label/print/markedText'
import { readLabel } from '#core/label/print/readLabel'
import type { ProductDocument } from '#core/label/productShape'
import { prettyUnits } from '#core/quantity/systems'

/** Directions pasted as the label prints them: told back, marked, and put into rate lines at a press. */
const props = defineProps<{ document: ProductDocument; at: number }>()
const emit = defineEmits<{ put: [lines: ProductDocument['lines']] }>()
const crew = useCrewStore()
const text = ref('')
const LONGEST = 10_000
const read = computed(() =>
  text.value.trim() === ''
    ? undefined
    : readLabel(text.value, props.document.form === 'granule' ? 'dry' : 'liquid'),
)

const marked = computed(() => (read.value ? markedText(text.value, read.value) : []))

/** The first line read goes into the one in hand, the others become lines of their own. */
function put() {
  const { document, at } = props
  const [first, ...more] = read.value?.lines ?? []
  const own = document.lines[at]
  if (!first || !own) return
  emit('put', [
    ...document.lines.map((line) => (line.id === own.id ? asRateLine(first, line) : line)),
    ...more.map((line) => asRateLine(line, blankRateLine(uuid(), document.form, crew.units))),
  ])
  text.value = ''
}
</script>

<template>
  <div class="space-y-1">
    <LabelledField label="Or paste it as printed">
      <UTextarea
        v-model="text"
        :rows="2"
        autoresize
        :maxlength="LONGEST"
        placeholder="1.5-2.2 fl oz per 1,000 sq ft, repeat in 21-35 days"
        class="w-full"
      />
    </LabelledField>
    <template v-if="read">
      <p class="small printed">
        <template v-for="(piece, i) in marked" :key="i"
          ><mark v-if="piece.is !== 'read'" :class="piece.is">{{ piece.words }}</mark
          ><template v-else>{{ piece.words }}</template></template
        >
      </p>
      <div role="status" class="small space-y-1">
        <p v-for="(line, i) in read.lines" :key="i">
          Understood: {{ prettyUnits(printedWords(line).join('; ')) }}.
        </p>
        <p v-for="(ask, i) in read.asks" :key="`ask ${i}`" class="asking">
          “{{ ask.text }}”: {{ ask.question }}
        </p>
        <p v-if="read.notUnderstood.length > 0" class="asking">
          Not understood: {{ read.notUnderstood.map((rest) => rest.text).join('; ') }}
        </p>
      </div>
      <UButton
        v-if="read.lines.length > 0"
        size="sm"
        :label="read.lines.length === 1 ? 'Put it in' : `Put in ${read.lines.length} lines`"
        @click="put"
      />
    </template>
  </div>
</template>

<style scoped>
.printed {
  white-space: pre-wrap;
  border-left: 3px solid var(--rule-strong);
  padding-left: 10px;
}
.printed mark {
  background: transparent;
  color: var(--warn);
  text-decoration: underline wavy;
  text-underline-offset: 3px;
}
.printed .left {
  color: var(--soft);
  text-decoration: line-through;
}
.asking {
  color: var(--warn);
  font-weight: 600;
}
</style>
