import { inGroup, type ActiveGroup } from './activeGroup'

/**
 * After: IRAC mode of action classification 11.1, 2024, actives with turf uses; to be compared row by row.
 */
export const INSECTICIDE_GROUPS: readonly ActiveGroup[] = [
  ...inGroup('1A', 'acetylcholinesterase, carbamates', 'carbaryl', 'methiocarb'),
  ...inGroup(
    '1B',
    'acetylcholinesterase, organophosphates',
    'trichlorfon',
    'chlorpyrifos',
    'acephate',
    'malathion',
  ),
  ...inGroup('2B', 'chloride channel of GABA, phenylpyrazoles', 'fipronil'),
  ...inGroup(
    '3A',
    'sodium channel, pyrethroids',
    'bifenthrin',
    'lambda-cyhalothrin',
    'cyfluthrin',
    'beta-cyfluthrin',
    'deltamethrin',
    'permethrin',
    'gamma-cyhalothrin',
    'zeta-cypermethrin',
    'pyrethrins',
  ),
  ...inGroup(
    '4A',
    'nicotinic receptor, neonicotinoids',
    'imidacloprid',
    'clothianidin',
    'thiamethoxam',
    'dinotefuran',
    'acetamiprid',
  ),
  ...inGroup('5', 'nicotinic receptor, allosteric site I, spinosyns', 'spinosad', 'spinetoram'),
  ...inGroup('6', 'glutamate-gated chloride channel, avermectins', 'abamectin'),
  ...inGroup('7C', 'juvenile hormone mimic', 'pyriproxyfen'),
  ...inGroup(
    '11A',
    'gut membranes, Bacillus thuringiensis',
    'Bacillus thuringiensis',
    'Bacillus thuringiensis galleriae',
  ),
  ...inGroup('15', 'chitin synthesis', 'novaluron', 'diflubenzuron'),
  ...inGroup('18', 'ecdysone receptor', 'halofenozide', 'tebufenozide'),
  ...inGroup('22A', 'sodium channel blocker', 'indoxacarb'),
  ...inGroup('23', 'acetyl CoA carboxylase', 'spirotetramat'),
  ...inGroup(
    '28',
    'ryanodine receptor, diamides',
    'chlorantraniliprole',
    'cyantraniliprole',
    'tetraniliprole',
  ),
  ...inGroup('30', 'chloride channel of GABA, allosteric', 'broflanilide', 'isocycloseram'),
  ...inGroup('UN', 'unknown, botanical', 'azadirachtin'),
  ...inGroup('UNF', 'fungal agents', 'Beauveria bassiana', 'Metarhizium anisopliae'),
]
