import type { Law } from '../units';

/** Everything that needs no solver. */
export const LIGHT_LAWS: readonly Law[] = [
  {
    at: 'pour.startC',
    law: 'Temperatures mixed by heat capacity, heated and cooled on the way to the pan; as measured where it was.',
    from: ['balance.massG'],
  },
  {
    at: 'pour.startG',
    law: 'Set degree at the pour: each starch by the kinetics of its own heating.',
    from: ['pour.startC', 'gelling.midpointC'],
  },
  { at: 'pour.startSetSd', law: 'What is not known of the set degree of a paste (house figure).', from: [] },
  {
    at: 'pour.**',
    law: 'Volume shares of raw and swollen grains in what flows (Krieger–Dougherty), at the pour.',
    from: ['pour.startC', 'balance.massG'],
  },
  {
    at: 'gelling.midpointC',
    law: 'End of the starch − 4 °C (70 % mean, 30 % highest) + sugar 18 s + 40 s² + salt + scarce water.',
    from: ['balance.batters.0.sugarPhase', 'balance.batters.0.parts.water', 'balance.batters.0.parts.starch'],
  },
  {
    at: 'gelling.**',
    law: 'Sugar and scarce water broaden and slow gelling: width 1.8 + 2 s + 2·max(0, 1 − free water), rate e^(−2 s); part melts later under 1.5 of free water.',
    from: ['balance.batters.0.sugarPhase', 'balance.batters.0.parts.water', 'balance.batters.0.parts.starch'],
  },
  { at: 'gellings.**', law: 'The same, batter by batter.', from: ['balance.batters.0.sugarPhase'] },
  {
    at: 'body.gasShare',
    law: 'ε = 1 − 1 ÷ rise, and the air that a paste holds between its pieces.',
    from: ['fill.rise', 'body.pieces.share'],
  },
  { at: 'body.pieces.tauS', law: 'L² ÷ (3 α) of the cut, by mass: a 5 mm shred 1 min, a 12 mm cube 6 min.', from: [] },
  {
    at: 'body.**',
    law: 'What is steamed: the parts of the cake, pieces apart.',
    from: ['balance.massG', 'pour.startC'],
  },
  {
    at: 'fill.rise',
    law: 'Gas held and gas of the powder, grown to the steam’s temperature, at most the family’s rise.',
    from: ['balance.volumeMl'],
  },
  {
    at: 'fill.depthM',
    law: 'Volume in the vessel’s shape; as measured where a ruler was used.',
    from: ['fill.volumeEachMl', 'vessel.heightM'],
  },
  { at: 'fill.cookedM', law: 'The same with its gas.', from: ['fill.depthM', 'body.gasShare'] },
  {
    at: 'fill.volumeEachMl',
    law: 'The batter ÷ the vessels it goes into.',
    from: ['balance.volumeMl', 'inputs.steam.vesselCount'],
  },
  {
    at: 'fill.headroomM',
    law: 'The rim − how high it stands once it has risen.',
    from: ['vessel.heightM', 'fill.depthM', 'fill.rise'],
  },
  {
    at: 'fill.**',
    law: 'Vessels side by side and over one another in the steamer, and what gets past them.',
    from: ['balance.volumeMl', 'steamer.innerDiameterM', 'vessel.heightM'],
  },
  { at: 'balance.cost.**', law: 'Prices of the packs by weight.', from: [] },
  { at: 'balance.nutrition.**', law: 'Composition by weight.', from: ['balance.massG'] },
  {
    at: 'balance.**',
    law: 'The flow’s account: every line through its operations, mass conserved.',
    from: ['flow.account.inG'],
  },
  {
    at: 'consistency.**',
    law: 'Volume share of grains (Krieger–Dougherty) and settling (Stokes, hindered).',
    from: ['balance.batters.0.hydration'],
  },
  {
    at: 'texture.*',
    law: 'Share-weighted axes of the starches, concentration, sugar and fat; corrected by tastings (house model).',
    from: ['balance.batters.0.sugarPhase', 'balance.batters.0.fatPct'],
  },
  {
    at: 'ferment.**',
    law: 'Cardinal temperature model integrated over the wait, by the dose.',
    from: ['ferment.tempC', 'ferment.dosePct'],
  },
  {
    at: 'flow.account.*',
    law: 'Everything that comes in is served, drawn, poured off, boiled away or left.',
    from: [],
  },
  { at: 'flow.**', law: 'The operation’s own law, or the cook’s reading.', from: [] },
  { at: 'cut.**', law: 'Cuts on the outline of the cake.', from: ['fill.depthM', 'balance.massG'] },
  {
    at: 'piece.**',
    law: 'The smallest of a piece’s three sizes is its thickness.',
    from: ['fill.depthM', 'cut.count'],
  },
  { at: 'pieces', law: 'Pieces a cake × cakes.', from: ['cut.count'] },
  { at: 'packing.**', law: 'Pieces side by side in the pan.', from: ['fryingPan.diameterM', 'piece.thicknessM'] },
  { at: 'serves.gramsEach', law: 'The whole batch ÷ guests.', from: ['balance.massG'] },
  { at: 'serves.**', law: 'Grams a head by role × guests.', from: ['balance.massG'] },
  {
    at: 'steps.**',
    law: 'The operation’s hands and wait, by its law and the stations’ results.',
    from: ['flow.account.inG'],
  },
  { at: 'totals.*', law: 'Sums over the steps.', from: ['steps.0.handsOnS'] },
  { at: 'weighOut.**', law: 'What enters each batter, as the plan says.', from: ['flow.account.inG'] },
  { at: 'vessel.**', law: 'As it stands on the rack, or is taken by default.', from: [] },
  { at: 'steamer.**', law: 'As it stands on the rack, or is taken by default.', from: [] },
  { at: 'hob.**', law: 'As it stands on the rack, or is taken by default.', from: [] },
  { at: 'ring.**', law: 'As it stands on the rack, or is taken by default.', from: [] },
  { at: 'fryingPan.**', law: 'As it stands on the rack, or is taken by default.', from: [] },
  { at: 'advice.**', law: 'The family’s usual bands.', from: [] },
  { at: 'inputs.**', law: 'As the plan, the kitchen and the account of its grams give it.', from: [] },
  { at: 'version', law: 'Of the format.', from: [] },
];
