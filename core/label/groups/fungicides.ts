import { inGroup, type ActiveGroup } from './activeGroup'

/** After: FRAC code list 2024, actives with turf uses; to be compared row by row. */
export const FUNGICIDE_GROUPS: readonly ActiveGroup[] = [
  ...inGroup('1', 'tubulin, benzimidazoles and thiophanates', 'thiophanate-methyl', 'benomyl', 'carbendazim'),
  ...inGroup('2', 'osmotic signalling, dicarboximides', 'iprodione', 'vinclozolin'),
  ...inGroup('3', 'sterol synthesis, demethylation inhibitors', 'propiconazole', 'tebuconazole', 'triadimefon', 'triticonazole', 'metconazole', 'myclobutanil', 'mefentrifluconazole', 'difenoconazole', 'fenarimol', 'prothioconazole'),
  ...inGroup('4', 'RNA synthesis, phenylamides', 'mefenoxam', 'metalaxyl'),
  ...inGroup('7', 'succinate dehydrogenase', 'boscalid', 'flutolanil', 'fluxapyroxad', 'penthiopyrad', 'isofetamid', 'fluopyram', 'pydiflumetofen', 'inpyrfluxam', 'benzovindiflupyr'),
  ...inGroup('11', 'respiration at Qo, strobilurins', 'azoxystrobin', 'pyraclostrobin', 'trifloxystrobin', 'fluoxastrobin', 'mandestrobin', 'kresoxim-methyl'),
  ...inGroup('12', 'osmotic signalling, phenylpyrroles', 'fludioxonil'),
  ...inGroup('14', 'lipids, aromatic hydrocarbons', 'chloroneb', 'quintozene', 'etridiazole'),
  ...inGroup('19', 'chitin synthase, polyoxins', 'polyoxin D zinc salt'),
  ...inGroup('21', 'respiration at Qi', 'cyazofamid'),
  ...inGroup('28', 'membrane permeability, carbamates', 'propamocarb'),
  ...inGroup('29', 'uncoupler of respiration', 'fluazinam'),
  ...inGroup('43', 'delocalised spectrin-like proteins', 'fluopicolide'),
  ...inGroup('49', 'oxysterol binding protein', 'oxathiapiprolin'),
  ...inGroup('P07', 'host defence, phosphonates', 'fosetyl-aluminium', 'phosphorous acid', 'potassium phosphite'),
  ...inGroup('P01', 'host defence, salicylate-like', 'acibenzolar-S-methyl'),
  ...inGroup('BM02', 'microbial', 'Bacillus subtilis', 'Bacillus amyloliquefaciens', 'Bacillus licheniformis'),
  ...inGroup('M01', 'multi-site, copper', 'copper hydroxide'),
  ...inGroup('M03', 'multi-site, dithiocarbamates', 'mancozeb', 'thiram', 'maneb'),
  ...inGroup('M04', 'multi-site, phthalimides', 'captan'),
  ...inGroup('M05', 'multi-site, chloronitriles', 'chlorothalonil'),
  ...inGroup('NC', 'not classified, oils', 'mineral oil'),
]
