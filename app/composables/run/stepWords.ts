import { CARRIED } from '#core/run/common/commonLoads'
import type { RunStep } from '#core/run/steps/runSteps'

/** Where one is, in a few words: the small line above a step's title. */
export function stepPlace(step: RunStep): string {
  switch (step.kind) {
    case 'gate':
      return 'Before anything goes out'
    case 'weigh':
      return step.load === 0 ? 'The charge' : `Charge ${step.load}`
    case 'pass':
      return `Pass ${step.pass} of ${step.passes}${partWords(step.from, step.to)}`
    case 'check':
      return `Checkpoint, pass ${step.pass}${checkWords(step.share, step.lawn)}`
    case 'light':
      return 'What lacks behind'
    case 'tank':
      return 'One mix for several sites'
    case 'mix':
      return loadWords(step)
    case 'spray':
    case 'cover':
      return step.load.number === CARRIED ? 'What came along' : loadWords(step)
    case 'rest':
      return 'All covered'
    case 'sweep':
    case 'rinse':
      return 'Clean up'
    case 'water':
    case 'notice':
      return 'Afterwards'
    case 'record':
      return 'The record'
    default:
      return step satisfies never
  }
}

const loadWords = ({ load, loads }: Extract<RunStep, { kind: 'mix' | 'spray' | 'cover' }>): string =>
  `Load ${load.number}${loads === undefined ? '' : ` of ${loads}`}`
const partWords = (from: number, to: number): string =>
  from === 0 && to > 0.999 ? '' : from === 0 ? ', to the first checkpoint' : ', the rest of it'
const checkWords = (share: number, lawn: string): string =>
  share > 0.999 ? ' done' : lawn ? `, after ${lawn}` : ', half way'
