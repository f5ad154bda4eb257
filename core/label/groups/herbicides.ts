import { inGroup, type ActiveGroup } from './activeGroup'

/** After: HRAC mode of action classification 2024 (numbers), actives with turf uses; to be compared row by row. */
export const HERBICIDE_GROUPS: readonly ActiveGroup[] = [
  ...inGroup('1', 'acetyl CoA carboxylase', 'fenoxaprop', 'fluazifop', 'sethoxydim', 'clethodim', 'diclofop', 'pinoxaden'),
  ...inGroup('2', 'acetolactate synthase', 'metsulfuron', 'trifloxysulfuron', 'foramsulfuron', 'rimsulfuron', 'halosulfuron', 'sulfosulfuron', 'flazasulfuron', 'imazaquin', 'imazapic', 'bispyribac-sodium', 'penoxsulam', 'florasulam', 'thiencarbazone', 'iodosulfuron', 'chlorsulfuron', 'pyrimisulfan'),
  ...inGroup('3', 'microtubule assembly', 'prodiamine', 'pendimethalin', 'dithiopyr', 'benefin', 'trifluralin', 'oryzalin'),
  ...inGroup('4', 'synthetic auxins', '2,4-D', 'dicamba', 'mecoprop', 'dichlorprop', 'MCPA', 'triclopyr', 'fluroxypyr', 'quinclorac', 'clopyralid', 'aminocyclopyrachlor', 'halauxifen'),
  ...inGroup('5', 'photosystem II at serine 264, triazines and triazolinones', 'simazine', 'atrazine', 'metribuzin', 'amicarbazone'),
  ...inGroup('6', 'photosystem II at histidine 215, nitriles and bentazon', 'bentazon', 'bromoxynil'),
  ...inGroup('9', 'EPSP synthase', 'glyphosate'),
  ...inGroup('10', 'glutamine synthetase', 'glufosinate'),
  ...inGroup('14', 'protoporphyrinogen oxidase', 'oxadiazon', 'sulfentrazone', 'carfentrazone', 'flumioxazin', 'pyraflufen', 'saflufenacil'),
  ...inGroup('15', 'very long chain fatty acids', 'dimethenamid', 'S-metolachlor', 'ethofumesate'),
  ...inGroup('22', 'photosystem I', 'diquat'),
  ...inGroup('27', 'pigment synthesis, HPPD', 'mesotrione', 'topramezone', 'tolpyralate'),
  ...inGroup('29', 'cellulose synthesis', 'isoxaben', 'indaziflam', 'dichlobenil'),
  ...inGroup('30', 'fatty acid thioesterase', 'cinmethylin', 'methiozolin'),
  ...inGroup('0', 'not classified', 'pelargonic acid', 'MSMA'),
]
