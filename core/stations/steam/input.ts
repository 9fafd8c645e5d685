import { wayOf } from '../../families';
import { MODEL_VERSION, type Figure, there } from '../../units';
import { panAreaM2, steamPower, type Steamer, type Vessel } from '../../kitchen';
import type { Gelling } from '../../model/heat';
import type { Airs } from '../../model/rest';
import type { Parts } from '../../model/batter';
import type { Body } from '../../cake';
import type { Cover, HeatCourse, StartSpread } from '../../model/steam';
import { layerBatters, layersIn } from '../../cake';
import type { Cake } from '../../cake';
import { ALONE, type SteamContext } from './context';
import {
  boilOf,
  boilUpPower,
  courseOf,
  coverIn,
  standOf,
  steamingPower,
  steamTempOf,
  timeFactorOf,
  together,
} from './setting';

/**
 * All that the steaming of a plan is worked out from, plain data without names: whatever is cooked, cooks the same where this is the same. It is made
 * here alone; the hash of the job is its hash, and "why" reads its keys. What it does not hold (guests, names, words) is added outside.
 */
export type SteamInput = PourInput | StackInput | FilmInput | PotInput;

/** What all ways of cooking start from. */
export interface CakeInput {
  readonly modelVersion: number;
  /** What is cooked, and the temperature, °C, and set degree it is poured with. */
  readonly body: Body;
  readonly startC: Figure;
  readonly startG: number;
  readonly vessel: Vessel;
  /** As poured, and as it steams, m. */
  readonly depthM: number;
  readonly cookedM: number;
  /** The whole batch, g. */
  readonly massG: number;
  readonly vesselCount: number;
  /** Net power of the ring at the first heat, W. */
  readonly powerW: Figure;
  readonly boilC: number;
  readonly kitchen: Airs;
}
/** What stands over boiling water. */
export interface OverSteam extends CakeInput {
  readonly steamer: Omit<Steamer, 'id' | 'name'>;
  readonly cover: Cover;
  readonly paper: boolean;
  /** Empty moulds are heated before they are filled where they stand. */
  readonly preheated: boolean;
  /** The steam at its hottest, °C. */
  readonly steamC: number;
  /** Changes of heat; null: none. */
  readonly course: HeatCourse | null;
  readonly boilUpW: number;
  /** As much water as the cook filled in, ml; null: as much as goes in. */
  readonly filledMl: number | null;
  /** Vessels that are in at once, on a tier, and turns in all. */
  readonly inLoad: number;
  readonly perTier: number;
  readonly loads: number;
  /** Share of the steam that gets past a pan to its top. */
  readonly topShare: number;
  /** How long it stands with the fire off, s. */
  readonly standS: number;
  readonly tooLate: { readonly factor: number; readonly leastS: number };
  /** What was learned of the times here. */
  readonly factor: Figure;
  /** What is not known of the start. */
  readonly start: StartSpread;
  readonly context: SteamContext;
}

/** One pour a vessel: in one go, or in turns. */
export interface PourInput extends OverSteam {
  readonly how: 'steamed' | 'cups' | 'sheets';
  /** How much longer once it is set through, s. */
  readonly moreS: number;
  /** Further vessels for the same batter, on the tier above. */
  readonly others: readonly {
    readonly count: number;
    readonly depthM: number;
    readonly cookedM: number;
    readonly vessel: Vessel;
  }[];
  readonly pressureRelease: 'slow' | 'quick';
  /** It comes out of its mould at this, °C; null: at once. */
  readonly releaseC: number | null;
  /** Raw fillings by id: so many sheets go back into the steam until their middle is so hot, °C. */
  readonly raw: readonly { readonly filling: string; readonly pieces: number; readonly safeC: number }[];
}

/** Layers poured on layers. */
export interface StackInput extends OverSteam {
  readonly how: 'layers';
  /** Which batter each layer is of, from the base up. */
  readonly order: readonly number[];
  readonly batters: readonly {
    readonly parts: Parts;
    readonly gelling: Gelling;
    readonly massG: number;
    readonly volumeMl: number;
    readonly stirEveryS: number;
  }[];
}

/** Films in a covered pan. */
export interface FilmInput extends CakeInput {
  readonly how: 'pan-film';
  readonly pan: { readonly areaM2: number; readonly lid: boolean };
  /** Each cools before it is lifted. */
  readonly cools: boolean;
  readonly densityKgM3: number;
  /** Usual thickness, mm. */
  readonly usualMm: readonly [number, number];
}

/** Cooked through in the pot, and poured to set. */
export interface PotInput extends CakeInput {
  readonly how: 'pot';
  /** Stirred until no mealy taste, and until the bottom scorches, s; null: it is not cooked through. */
  readonly through: { readonly stirS: number; readonly scorchS: number } | null;
}

/** Depth by ruler and as computed, one standard deviation as a share. */
export const DEPTH_SD = { measured: 0.02, default: 0.04 } as const;

/** A vessel by what heat sees of it. */
export const bare = (v: Vessel): Vessel => ({ ...v, id: '', name: '', provenance: 'default' });

const made = new WeakMap<Cake, SteamInput>();

/** The record of a plan's steaming. @param context what else is in the steamer */
export function steamInput(light: Cake, context: SteamContext = ALONE): SteamInput {
  const known = context === ALONE ? made.get(light) : undefined;
  if (known) return known;
  const input = inputOf(light, context);
  if (context === ALONE) made.set(light, input);
  return input;
}

function cakeOf(light: Cake): CakeInput {
  const { plan, vessel, kitchen } = light.resolved;
  return {
    modelVersion: MODEL_VERSION,
    body: light.body,
    startC: light.pour.startC,
    startG: light.pour.startG,
    vessel: bare(vessel),
    depthM: light.fill.depthM,
    cookedM: light.fill.cookedM,
    massG: light.balance.massG,
    vesselCount: plan.vesselCount,
    powerW: steamingPower(light),
    boilC: boilOf(light),
    kitchen: { roomC: kitchen.roomC, fridgeC: kitchen.fridgeC },
  };
}

function inputOf(light: Cake, context: SteamContext): SteamInput {
  const { family, fill, balance } = light;
  const { plan, fryingPan, ring } = light.resolved;
  const cake = cakeOf(light);
  switch (family.cooked) {
    case 'pan-film':
      return {
        ...cake,
        // A film is cooked on a medium ring, whatever the steamer stands on.
        powerW: steamPower(ring, 'medium'),
        how: 'pan-film',
        pan: { areaM2: panAreaM2(fryingPan), lid: fryingPan.lid },
        cools: plan.schools.release === 'cool',
        densityKgM3: balance.densityKgM3,
        usualMm: family.depthMm,
      };
    case 'pot': {
      const figures = light.evaluated.nodes.find((n) => n.node.op === 'cook-through')?.figures;
      return {
        ...cake,
        how: 'pot',
        through: figures ? { stirS: there(figures.stirS).value, scorchS: there(figures.scorchS).value } : null,
      };
    }
    case 'layers':
      return {
        ...overSteam(light, cake, context),
        how: 'layers',
        order: layersIn(light),
        batters: layerBatters(light).map((b) => ({
          parts: b.balance.parts,
          gelling: b.gelling,
          massG: b.balance.massG * b.share,
          volumeMl: b.balance.volumeMl * b.share,
          stirEveryS: b.stirEveryS,
        })),
      };
    default: {
      const peeledHot = family.cooked === 'sheets' && plan.schools.release !== 'cool';
      return {
        ...overSteam(light, cake, context),
        how: family.cooked,
        moreS: family.moreS ?? 0,
        others: fill.others.map(({ count, depthM, cookedM, vessel }) => ({
          count,
          depthM,
          cookedM,
          vessel: bare(vessel),
        })),
        pressureRelease: plan.pressureRelease,
        releaseC: peeledHot ? null : family.releaseC,
        raw:
          family.cooked === 'sheets'
            ? plan.fillings
                .filter((f) => f.doneness === 'raw')
                .map((f) => ({ filling: f.id, pieces: f.count, safeC: f.safeC }))
            : [],
      };
    }
  }
}

function overSteam(light: Cake, cake: CakeInput, context: SteamContext): OverSteam {
  const { plan, steamer } = light.resolved;
  const { family, fill, pour } = light;
  const { id: _id, name: _name, ...shape } = steamer;
  return {
    ...cake,
    steamer: shape,
    cover: coverIn(light),
    paper: plan.paper,
    preheated: wayOf(family).refilled,
    steamC: steamTempOf(light),
    course: courseOf(light) ?? null,
    boilUpW: boilUpPower(light).value,
    filledMl: plan.readings['boil-up:steamer']?.waterMl ?? null,
    inLoad: together(light),
    perTier: fill.perTier,
    loads: fill.loads,
    topShare: fill.gap?.topShare ?? 1,
    standS: standOf(light),
    tooLate: { factor: family.noLaterFactor, leastS: family.noSoonerThanS },
    factor: timeFactorOf(light),
    start: {
      tempC: Math.max(1, pour.startC.sd),
      set: pour.startSetSd,
      depth: fill.measured ? DEPTH_SD.measured : DEPTH_SD.default,
      power: cake.powerW.sd / Math.max(cake.powerW.value, 1),
    },
    context,
  };
}
