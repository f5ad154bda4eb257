import { placeHour } from '#core/calendar/placeHour'
import { counted } from '#core/quantity/counting'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { depthUnitOf } from '#core/quantity/toldDepth'
import { gateFindings, gateGaps, readGate, type GateSubject } from '#core/run/gate/gateFindings'
import { limitsWithoutLabels } from '#core/conditions/conditionLimits'
import { blankGate, readByHand, type GateReadings } from '#core/run/gate/gateReadings'
import { goesAfter, passesAfter } from '#core/run/gate/passesAfter'
import { readingsFromHours } from '#core/run/gate/readingsFromHours'
import type { SiteHours } from '#shared/schemas/weather'
import type { EventBody } from './useRun'

/** What is read at the gate, what speaks against going, and from when it would go. */
export function useGate() {
  const { frozen, progress, document, siteId } = useRunScreen()
  const crew = useCrewStore()
  const last = progress.value.gates.at(-1)?.readings
  const units = {
    speed: SYSTEM_UNITS[crew.units].speed,
    temperature: crew.temperatureUnit,
    depth: depthUnitOf(crew.units),
  }
  const readings = useTyped<GateReadings>('readings', last ?? blankGate(units))
  const reason = useTyped('reason', '')
  const weather = shallowRef<SiteHours>()
  const now = () => placeHour(new Date(crew.now()), crew.organization?.timeZone ?? 'UTC')
  const station = computed(() => weather.value?.station ?? '')

  async function openStation() {
    if (siteId === null) return
    weather.value = await ask(questions.siteHours(siteId)).catch(() => undefined)
    // What somebody read here, now or before, is not written over by itself.
    if (!last && readings.value.from === '' && readings.value.wind.text === '') takeStation()
  }
  function takeStation() {
    const { hours } = weather.value ?? {}
    if (!hours || station.value === '') return
    readings.value = readingsFromHours(readings.value, hours, crew.today(), now(), station.value, crew.units)
  }

  const limits = computed(() => frozen.value.limits ?? limitsWithoutLabels(document.value, crew.units))
  const light = computed(() => {
    const { from, to } = weather.value?.light ?? {}
    return from === undefined || to === undefined ? undefined : { now: now(), rises: from, sets: to }
  })
  const problems = computed(() => readGate(readings.value).problems)
  const findings = computed(() => gateFindings(readings.value, limits.value, light.value))
  const unread = computed(() => gateGaps(readings.value, limits.value))
  const stops = computed(() => findings.value.filter(({ level }) => level === 'stop'))
  const ahead = computed(() => ({
    limits: limits.value,
    hours: weather.value?.hours ?? [],
    light: light.value,
    on: crew.today(),
    now: now(),
  }))
  const later = (subject: GateSubject) => {
    const hour = passesAfter(subject, ahead.value)
    return hour === undefined ? '' : ` It passes after ${hour}:00 by the forecast.`
  }
  const goes = computed(() => {
    const failing = stops.value.map(({ subject }) => subject)
    const hour = goesAfter(failing, ahead.value)
    return failing.length > 1 && hour !== undefined ? `All of it passes after ${hour}:00.` : ''
  })
  const unreasoned = computed(() => stops.value.length > 0 && reason.value.trim() === '')
  const worst = computed(() =>
    problems.value.length > 0
      ? ('stop' as const)
      : (findings.value[0]?.level ?? (unread.value.length > 0 ? ('open' as const) : ('good' as const))),
  )
  /** All of it in a few words beside the button. */
  const summary = computed(() => {
    const [wrong] = problems.value
    if (wrong) return wrong.message
    const warnings = findings.value.filter(({ level }) => level === 'warn').length
    const parts = [
      stops.value.length > 0 ? counted(stops.value.length, 'stop') : '',
      warnings > 0 ? counted(warnings, 'warning') : '',
      unread.value.length > 0 ? `${unread.value.length} not read` : '',
      unreasoned.value ? 'a reason is needed' : '',
    ].filter(Boolean)
    return parts.length > 0 ? parts.join(', ') : 'Nothing speaks against it.'
  })
  const entry = (decision: 'go' | 'wait') =>
    ({
      kind: 'gate',
      payload: {
        decision,
        readings: readings.value,
        findings: [...findings.value],
        unread: [...unread.value],
        reason: stops.value.length > 0 ? reason.value.trim() : '',
      },
    }) as EventBody
  const take = (fields: Partial<GateReadings>) => {
    readings.value = readByHand(readings.value, fields)
  }
  return {
    readings,
    reason,
    station,
    openStation,
    takeStation,
    limits,
    problems,
    findings,
    unread,
    stops,
    later,
    goes,
    held: computed(() => problems.value.length > 0 || unreasoned.value),
    worst,
    summary,
    entry,
    take,
  }
}
export type Gate = ReturnType<typeof useGate>
