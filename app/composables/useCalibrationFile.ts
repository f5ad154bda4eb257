import Papa from 'papaparse'
import { v7 as uuid } from 'uuid'
import * as v from 'valibot'
import { readCalibrationRows } from '#core/calibration/readCalibrationRows'
import type { NamedCalibration } from '#core/calibration/calibrationRows'
import { CalibrationFileSchema, type ImportedCalibrations } from '#shared/schemas/calibrationFile'

const LARGEST_BYTES = 1_000_000
const SHOWN_PROBLEMS = 8

/** A file of calibrations: read on this device, shown, and taken in as a whole or not at all. */
export function useCalibrationFile(equipmentId: string, kind: () => 'spread' | 'spray') {
  const found = shallowRef<readonly NamedCalibration[]>([])
  const problems = shallowRef<readonly string[]>([])
  const busy = ref(false)

  function read(name: string, text: string): { readonly calibrations: readonly NamedCalibration[], readonly problems: readonly string[] } {
    if (/^\s*\{/.test(text)) return readJson(text)
    const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true, transformHeader: (head) => head.trim() })
    if (data.length === 0 || !Object.hasOwn(data[0] ?? {}, 'kind')) return { calibrations: [], problems: [`${name} is no table of calibrations: its first line must name the columns, kind among them. Export one to see how.`] }
    const rows = readCalibrationRows(data, uuid)
    return { calibrations: rows.calibrations, problems: rows.problems.map(({ line, column, message }) => `Line ${line}, ${column}: ${message}`) }
  }

  async function open(file: File) {
    found.value = []
    problems.value = []
    if (file.size > LARGEST_BYTES) {
      problems.value = ['The file is over 1 MB: no machine has so many calibrations. Is it the right one?']
      return
    }
    const answer = read(file.name, await file.text())
    const other = answer.calibrations.find(({ document }) => document.kind !== kind())
    if (other) problems.value = [`It holds calibrations of a ${other.document.kind === 'spread' ? 'spreader' : 'sprayer'}: take it in at that machine.`]
    else if (answer.problems.length > 0) problems.value = [...answer.problems.slice(0, SHOWN_PROBLEMS), ...(answer.problems.length > SHOWN_PROBLEMS ? [`and ${answer.problems.length - SHOWN_PROBLEMS} more`] : [])]
    else found.value = answer.calibrations
  }

  async function take(): Promise<ImportedCalibrations | undefined> {
    busy.value = true
    try {
      const done = await $fetch<ImportedCalibrations>(`/api/equipment/${equipmentId}/calibrations`, { method: 'POST', body: { calibrations: found.value } })
      found.value = []
      return done
    }
    catch (error) {
      problems.value = [errorText(error)]
      return undefined
    }
    finally {
      busy.value = false
    }
  }
  return { found, problems, busy, open, take, drop: () => { found.value = [] } }
}

function readJson(text: string) {
  try {
    const read = v.safeParse(CalibrationFileSchema, JSON.parse(text))
    if (read.success) return { calibrations: read.output.calibrations, problems: [] }
    return { calibrations: [], problems: read.issues.slice(0, SHOWN_PROBLEMS).map((issue) => `${v.getDotPath(issue) ?? 'the file'}: ${issue.message}`) }
  }
  catch {
    return { calibrations: [], problems: ['The file is not whole JSON: it was cut off or changed. Export it again.'] }
  }
}
