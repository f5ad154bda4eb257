import type { FieldReader } from '../quantity/fieldReader'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook } from '../working/working'
import type { MeasuredWith } from './areaShape'
import type { GroundPart } from './groundPart'
import { SCALE_ERROR } from './instruments'
import { readTapedCourse, toolWords, type ToolReading } from './toolCourse'

/** The instrument a piece was measured with, read. */
export interface ReadInstrument {
  readonly scale: NonNullable<GroundPart['scale']>
  readonly tool: ToolReading | undefined
}

const WORDS = { tape: 'the tape', wheel: 'the wheel', paced: 'pacing' } as const

/** Reads what a piece was measured with; a tool whose calibration can't be read counts as none. */
export function readInstrument(
  { instrument, tool: note }: MeasuredWith,
  path: string,
  fields: FieldReader,
): ReadInstrument {
  const kind = instrument === 'paced' ? 'stride' : 'wheel'
  const tool =
    note && instrument !== 'tape'
      ? readTapedCourse(note.course, kind, `${path}.tool.course`, fields, '', closedWorkingBook)
      : undefined
  const share = tool?.scale ?? SCALE_ERROR[instrument]
  const words =
    tool && note
      ? `scale of ${note.name} (${toolWords(tool, note.course.distance.unit)})`
      : `scale of ${WORDS[instrument]}`
  return {
    tool,
    scale: {
      source: tool && note ? `tool:${note.id}` : instrument,
      share,
      words: `${words}, ${sixDigits(100 * share)} %`,
    },
  }
}
