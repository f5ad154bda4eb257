import { figureField, fieldsUnder, type FieldTable } from '../quantity/figureField'

export const STEP_FIELDS = {
  nitrogen: figureField('rate', 'above-zero', 'Nitrogen', {
    label: 'Nitrogen, else as on the label',
    units: ['lb/1000 ft2', 'lb/ac', 'g/m2', 'kg/ha'],
  }),
} as const satisfies FieldTable

export const WHEN_FIELDS = {
  soilFrom: figureField('temperature', 'any-sign', 'Soil from', { label: 'from' }),
  soilTo: figureField('temperature', 'any-sign', 'Soil to', { label: 'to' }),
} as const satisfies FieldTable

/** Every figure of a program, at its path in it. */
export const PROGRAM_TABLE: FieldTable = {
  ...fieldsUnder('steps.*', STEP_FIELDS),
  ...fieldsUnder('steps.*.when', WHEN_FIELDS),
}
