/** Questions that a cook reads the engine by: whole-book line-ups and ladders, asked as a kitchen would ask them. */
interface LineUpQuestion {
  readonly name: string
  readonly brief: Readonly<Record<string, unknown>> & { readonly method: string; readonly format: string }
}
export interface LadderQuestion extends LineUpQuestion {
  readonly missing: string
  readonly because?: string
}

const PLATE = { wholeWeightG: { from: 300, to: 500 } }
const SMALL = { wholeWeightG: { from: 10, to: 120 } }

export const LINE_UPS: readonly LineUpQuestion[] = [
  { name: 'Crisp-skinned portions from a hot pan', brief: { method: 'pan-sear', format: 'fillet-skin-on', skin: 'crisp' } },
  { name: 'Portions in a pan that nobody watches', brief: { method: 'pan-sear', format: 'portion', longCooking: true } },
  { name: 'Thin fillets in flour and butter', brief: { method: 'shallow-fry', format: 'fillet-skinless' } },
  { name: 'A plate-sized fish, floured and fried whole', brief: { method: 'shallow-fry', format: 'whole', ...PLATE } },
  { name: 'White fish in batter', brief: { method: 'deep-fry', format: 'portion' } },
  { name: 'Small fish fried whole', brief: { method: 'deep-fry', format: 'whole', wholeWeightG: { from: 3, to: 40 } } },
  { name: 'Grilled steaks', brief: { method: 'grill', format: 'steak' } },
  { name: 'Skewers over coals', brief: { method: 'grill', format: 'chunk' } },
  { name: 'A small whole fish over coals', brief: { method: 'grill', format: 'whole', wholeWeightG: { from: 60, to: 350 } } },
  { name: 'Grilled portions for strong seasoning', brief: { method: 'grill', format: 'portion', seasoning: 'bold' } },
  { name: 'Glazed under a broiler, boldly', brief: { method: 'broil', format: 'portion', seasoning: 'bold' } },
  { name: 'A thick roast portion', brief: { method: 'roast', format: 'portion', thicknessMm: 35 } },
  { name: 'A plate-sized fish roast whole', brief: { method: 'roast-whole', format: 'whole', ...PLATE } },
  { name: 'Steamed fillets, gently seasoned', brief: { method: 'steam', format: 'fillet-skinless', seasoning: 'gentle' } },
  { name: 'A whole steamed fish for one', brief: { method: 'steam-whole', format: 'whole', ...PLATE } },
  { name: 'A whole steamed fish for four', brief: { method: 'steam-whole', format: 'whole', wholeServes: 4, portionG: 150 } },
  { name: 'Portions in paper', brief: { method: 'wrap-steam', format: 'portion' } },
  { name: 'Poached portions', brief: { method: 'poach', format: 'portion' } },
  { name: 'A fish pie for children', brief: { method: 'poach', format: 'chunk', covers: 12, diners: { children: 6 } } },
  { name: 'A braise of thick steaks', brief: { method: 'braise', format: 'steak', thicknessMm: 30, longCooking: true } },
  { name: 'A stew of firm pieces', brief: { method: 'stew', format: 'chunk' } },
  { name: 'Chowder', brief: { method: 'chowder', format: 'chunk' } },
  { name: 'A hot curry with bone-in steaks', brief: { method: 'curry', format: 'steak', seasoning: 'bold' } },
  { name: 'A mild curry', brief: { method: 'curry', format: 'chunk', seasoning: 'gentle' } },
  { name: 'A portion from the water bath', brief: { method: 'sous-vide', format: 'portion' } },
  { name: 'Raw slices', brief: { method: 'raw', format: 'slice', rawTreatment: 'frozen' } },
  { name: 'Raw cubes in acid', brief: { method: 'raw', format: 'chunk', rawTreatment: 'frozen' } },
  { name: 'A side cured with salt and sugar', brief: { method: 'cure', format: 'fillet-skin-on', rawTreatment: 'frozen' } },
  { name: 'Hot-smoked sides', brief: { method: 'smoke', format: 'fillet-skin-on' } },
  { name: 'Small fish hot-smoked whole', brief: { method: 'smoke', format: 'whole', wholeWeightG: { from: 80, to: 500 } } },
  { name: 'Cold-smoked sides', brief: { method: 'smoke', format: 'fillet-skin-on', smokeHeat: 'cold', rawTreatment: 'frozen' } },
  { name: 'A springy paste', brief: { method: 'mince', format: 'mince' } },
  { name: 'Broth from frames', brief: { method: 'broth', format: 'frame' } },
  { name: 'Supper for a table shy of bones', brief: { method: 'roast', format: 'portion', covers: 4, diners: { boneShy: true } } },
  {
    name: 'Supper for those who dislike strong fish',
    brief: { method: 'pan-sear', format: 'portion', covers: 4, diners: { dislikesStrongFish: true } },
  },
  { name: 'A small oily fish under the broiler', brief: { method: 'broil', format: 'whole', ...SMALL } },
  { name: 'A grilled whole fish for two', brief: { method: 'grill', format: 'whole', wholeServes: 2, portionG: 150 } },
  { name: 'Lunch for a pregnant guest', brief: { method: 'steam', format: 'portion', covers: 2, diners: { pregnant: 1 } } },
  { name: 'Baked fillets for small children', brief: { method: 'roast', format: 'fillet-skinless', covers: 4, diners: { children: 2 } } },
  { name: 'A steak braised in coconut', brief: { method: 'curry', format: 'chunk', seasoning: 'bold', longCooking: true } },
  { name: 'Seared rare', brief: { method: 'pan-sear', format: 'steak', doneness: 'rare', rawTreatment: 'frozen' } },
  { name: 'Fried, then kept in acid', brief: { method: 'shallow-fry', format: 'fillet-skin-on', style: 'kept-in-acid' } },
  { name: 'Poached in oil', brief: { method: 'poach', format: 'portion', style: 'oil' } },
  { name: 'Cubes in citrus', brief: { method: 'raw', format: 'chunk', style: 'cubes-in-acid', rawTreatment: 'frozen' } },
  { name: 'Thin and rolled', brief: { method: 'raw', format: 'slice', style: 'rolled', rawTreatment: 'frozen' } },
  { name: 'Chopped raw', brief: { method: 'raw', format: 'mince', style: 'chopped', rawTreatment: 'frozen' } },
  { name: 'Pickled sour', brief: { method: 'cure', format: 'fillet-skin-on', style: 'sour', rawTreatment: 'frozen' } },
  { name: 'Dry-salted, soaked and cooked', brief: { method: 'cure', format: 'fillet-skin-on', style: 'dry-salt', servedAs: 'cooked' } },
  { name: 'Ripened whole in salt', brief: { method: 'cure', format: 'whole', style: 'ripened', rawTreatment: 'frozen' } },
  { name: 'A loin dried in air', brief: { method: 'cure', format: 'portion', style: 'air-dried', rawTreatment: 'frozen' } },
  {
    name: 'Lean fish smoked to be poached',
    brief: { method: 'smoke', format: 'fillet-skin-on', smokeHeat: 'cold', style: 'lean', servedAs: 'cooked' },
  },
  { name: 'Cakes bound with potato', brief: { method: 'mince', format: 'mince', style: 'bound' } },
  { name: 'A chopped patty', brief: { method: 'mince', format: 'mince', style: 'chopped' } },
  { name: 'Dark, strong balls', brief: { method: 'mince', format: 'mince', style: 'dark' } },
  { name: 'A cheap fried supper', brief: { method: 'deep-fry', format: 'portion', spend: 'least' } },
]

export const LADDERS: readonly LadderQuestion[] = [
  { name: 'Battered fish without cod', missing: 'Gadus morhua', brief: { method: 'deep-fry', format: 'portion' } },
  { name: 'Battered fish without haddock', missing: 'Melanogrammus aeglefinus', brief: { method: 'deep-fry', format: 'portion' } },
  { name: 'Skewers without monkfish', missing: 'Lophius piscatorius', brief: { method: 'grill', format: 'chunk' } },
  { name: 'Stew without monkfish', missing: 'Lophius piscatorius', brief: { method: 'stew', format: 'chunk' } },
  { name: 'Flour and butter without sole', missing: 'Solea solea', brief: { method: 'shallow-fry', format: 'fillet-skinless' } },
  {
    name: 'Flour and butter without plaice',
    missing: 'Pleuronectes platessa',
    brief: { method: 'shallow-fry', format: 'fillet-skinless' },
  },
  {
    name: 'Crisp skin without sea bass',
    missing: 'Dicentrarchus labrax',
    brief: { method: 'pan-sear', format: 'fillet-skin-on', skin: 'crisp' },
  },
  { name: 'Roast portions without turbot', missing: 'Scophthalmus maximus', brief: { method: 'roast', format: 'portion' } },
  { name: 'Roast portions without halibut', missing: 'Hippoglossus hippoglossus', brief: { method: 'roast', format: 'portion' } },
  { name: 'Grilled steaks without swordfish', missing: 'Xiphias gladius', brief: { method: 'grill', format: 'steak' } },
  {
    name: 'Seared steaks without yellowfin',
    missing: 'Thunnus albacares',
    brief: { method: 'pan-sear', format: 'steak', doneness: 'moist' },
  },
  { name: 'Raw slices without yellowfin', missing: 'Thunnus albacares', brief: { method: 'raw', format: 'slice', rawTreatment: 'frozen' } },
  { name: 'Raw slices without salmon', missing: 'Salmo salar', brief: { method: 'raw', format: 'slice', rawTreatment: 'frozen' } },
  {
    name: 'A cured side without salmon',
    missing: 'Salmo salar',
    brief: { method: 'cure', format: 'fillet-skin-on', rawTreatment: 'frozen' },
  },
  { name: 'Pan-fried without salmon', missing: 'Salmo salar', brief: { method: 'pan-sear', format: 'portion' } },
  { name: 'Hot smoke without mackerel', missing: 'Scomber scombrus', brief: { method: 'smoke', format: 'fillet-skin-on' } },
  { name: 'Hot smoke without eel', missing: 'Anguilla anguilla', brief: { method: 'smoke', format: 'whole', wholeServes: null } },
  {
    name: 'Coals without sardines',
    missing: 'Sardina pilchardus',
    brief: { method: 'grill', format: 'whole', wholeWeightG: { from: 40, to: 150 } },
  },
  { name: 'Broiled whole without mackerel', missing: 'Scomber scombrus', brief: { method: 'broil', format: 'whole', ...PLATE } },
  { name: 'Glazed without sablefish', missing: 'Anoplopoma fimbria', brief: { method: 'broil', format: 'portion' } },
  {
    name: 'A whole steamed fish without sea bass',
    missing: 'Dicentrarchus labrax',
    brief: { method: 'steam-whole', format: 'whole', ...PLATE },
  },
  { name: 'Roast whole without gilthead bream', missing: 'Sparus aurata', brief: { method: 'roast-whole', format: 'whole', ...PLATE } },
  { name: 'Chowder without haddock', missing: 'Melanogrammus aeglefinus', brief: { method: 'chowder', format: 'chunk' } },
  { name: 'Curry without kingfish', missing: 'Scomberomorus commerson', brief: { method: 'curry', format: 'steak' } },
  { name: 'Curry without rohu', missing: 'Labeo rohita', brief: { method: 'curry', format: 'steak' } },
  { name: 'A braise without conger', missing: 'Conger conger', brief: { method: 'braise', format: 'steak', longCooking: true } },
  { name: 'Poached without hake', missing: 'Merluccius merluccius', brief: { method: 'poach', format: 'portion' } },
  { name: 'Poached, cod too dear', missing: 'Gadus morhua', because: 'too-dear', brief: { method: 'poach', format: 'portion' } },
  { name: 'Broth without turbot', missing: 'Scophthalmus maximus', brief: { method: 'broth', format: 'frame' } },
  { name: 'A paste without pollock', missing: 'Gadus chalcogrammus', brief: { method: 'mince', format: 'mince' } },
]
