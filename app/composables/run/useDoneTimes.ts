import { parseClock } from '#core/calendar/parseClock'
import type { TimedEntry } from '#core/run/carried'
import type { RunRecord } from '#core/run/foldRun'

/** When it was done, where that is not when it was written down; left alone, the run’s own times stand. */
export function useDoneTimes(record: () => RunRecord) {
  const crew = useCrewStore()
  const zone = () => crew.organization?.timeZone
  const typed = reactive({ day: '', from: '', to: '' })
  const isAfterwards = computed(() => record().frozen.afterwards === true)
  const touched = computed(() => Object.values(typed).some((text) => text.trim() !== ''))

  const read = computed(() => {
    const problems: Partial<Record<keyof typeof typed, string>> = {}
    const clock = (name: 'from' | 'to') => {
      if (typed[name].trim() === '') return undefined
      const time = parseClock(typed[name])
      if (time.ok) return instantAt(typed.day || crew.today(), time.value, zone())
      problems[name] = time.error
      return undefined
    }
    const [from, to] = [clock('from'), clock('to')]
    if (typed.day > crew.today()) problems.day = 'That day lies ahead: a record is of work that is done.'
    else if (typed.from.trim() !== '' && typed.to.trim() === '')
      problems.to = 'When it ended is still missing.'
    else if (from && to && from > to) problems.to = 'It ended before it began: check both.'
    else if (to && to > crew.now()) problems.to = 'That lies ahead: a record is of work that is done.'
    return { problems, from, to }
  })
  /** Undefined: as the run has it. */
  const entered = computed((): TimedEntry | 'wrong' | undefined => {
    if (!touched.value) return undefined
    const { problems, from, to } = read.value
    if (Object.keys(problems).length > 0) return 'wrong'
    if (to) return { ...(from && { from }), to }
    const noon = instantAt(typed.day, NOON, zone())
    return { to: noon < crew.now() ? noon : crew.now(), only: 'day' }
  })
  return { typed, entered, isAfterwards, problems: computed(() => read.value.problems) }
}
export type DoneTimesEntry = ReturnType<typeof useDoneTimes>

/** Hour of a day of which nobody noted more, for the clock's sake; it is not shown. */
const NOON = '12:00'
