import { rangeAbout, together, type Range } from '@/core/numerics/spreads';
import { shares } from './shares';
import { spreadOfMix } from './spreadOfMix';
import type { Container } from '@/core/housing/container';
import { fillVolumeL, type Soil } from '@/core/housing/soil';
import { Refusal } from '@/core/refusal';
import type { Material, MaterialId, MaterialTable, RecipePart } from './material';

export interface SubstrateQuestion {
  container: Container;
  soil: Soil;
  recipe: RecipePart[];
  /** 1 is all that the mix can hold without dripping; over 1 it drips. */
  wetnessFrom: number;
  wetnessTo: number;
  /** Volume of hides, stones and roots that stand in the soil. L */
  displacedL?: number | undefined;
  /** By how much the loose mix sinks when it is watered and settles: so much more is mixed. % */
  settlingPct?: number | undefined;
}

export interface MaterialAmount {
  material: MaterialId;
  volumeL: number;
  dryMassG: number;
  /** Water that this part holds at the wetness aimed at. mL */
  waterMl: number;
}

export interface BricksToSoak {
  material: MaterialId;
  /** Whole bricks to have at hand. */
  count: number;
  /** Of which so much is soaked, in so much water, all of which goes into the mix with it. g, mL */
  pieceMassG: number;
  pieceWaterMl: number;
  /** What `count` bricks drink, and the loose volume they give. */
  soakWaterMl: number;
  looseVolumeL: number;
  /** Wetness of the material once soaked; 1 is all it holds. */
  wetness: number;
}

export interface SubstrateAnswer {
  /** Volume in the home once settled. L */
  volumeL: number;
  materials: MaterialAmount[];
  bricks: BricksToSoak[];
  /** Water to get from `wetnessFrom` to `wetnessTo`, with what soaked bricks bring; 0 when the mix is wetter already. mL */
  waterMl: number;
  /** Water it would have to lose first. mL */
  excessWaterMl: number;
  dryMassG: number;
  /** Mass in the home at `wetnessTo`. g */
  wetMassG: number;
  /** Eight of ten fillings like it lie between these, by the ranges of what is mixed. */
  between: { waterMl: Range; wetMassG: Range };
}

/**
 * How much of everything a filling takes. Parts are by loose volume and volumes add; water is what each part holds at
 * wetness 1, times the wetness. Bricks are whole ones.
 * @throws Refusal for a recipe whose parts are all nothing, soil above the lid, and displaced volume above the fill.
 */
export function substrate(question: SubstrateQuestion, materials: MaterialTable): SubstrateAnswer {
  const { container, soil, recipe, wetnessFrom, wetnessTo, displacedL = 0, settlingPct = 0 } = question;
  const fillL = fillVolumeL(container, soil);
  if (displacedL > fillL) {
    throw new Refusal([
      { path: 'displacedL', message: `Must be less than the filling, ${fillL.toFixed(2)} L; got ${displacedL}.` },
    ]);
  }
  const volumeL = fillL - displacedL;
  const looseL = volumeL / (1 - settlingPct / 100);
  const amounts = shares(recipe).map(({ material, share }) => {
    const { looseDensityGPerL, waterHeldMlPerL } = materials[material];
    const partL = looseL * share;
    return {
      material,
      volumeL: partL,
      dryMassG: partL * looseDensityGPerL.value,
      waterMl: partL * waterHeldMlPerL.value * wetnessTo,
    };
  });
  const heldMl = amounts.reduce((sum, each) => sum + each.volumeL * materials[each.material].waterHeldMlPerL.value, 0);
  const addMl = heldMl * (wetnessTo - wetnessFrom);
  const dryMassG = amounts.reduce((sum, each) => sum + each.dryMassG, 0);
  // A millilitre of water is a gram.
  const wetMassG = dryMassG + heldMl * wetnessTo;
  const waterMl = Math.max(0, addMl);
  const heldSpread = spreadOfMix(recipe, materials, 'waterHeldMlPerL');
  const drySpread = spreadOfMix(recipe, materials, 'looseDensityGPerL');
  const dryShare = wetMassG > 0 ? dryMassG / wetMassG : 0;
  return {
    volumeL,
    materials: amounts,
    bricks: amounts.flatMap((each) => bricksFor(each, materials[each.material])),
    waterMl,
    excessWaterMl: Math.max(0, -addMl),
    dryMassG,
    wetMassG,
    between: {
      waterMl: rangeAbout(waterMl, heldSpread),
      wetMassG: rangeAbout(wetMassG, together(dryShare * drySpread, (1 - dryShare) * heldSpread)),
    },
  };
}

/** Whole bricks for an amount of a material, and the piece of them that is used; none where it is not sold in bricks. */
export function bricksFor({ material, volumeL }: MaterialAmount, { brick, waterHeldMlPerL }: Material): BricksToSoak[] {
  if (!brick || volumeL <= 0) return [];
  // However little it is: somebody breaks a piece off one.
  const count = Math.max(1, Math.ceil(volumeL / brick.looseVolumeL.value - 1e-9));
  const soakWaterMl = count * brick.soakWaterL.value * 1000;
  const looseVolumeL = count * brick.looseVolumeL.value;
  const share = volumeL / brick.looseVolumeL.value;
  return [
    {
      ...{ material, count, soakWaterMl, looseVolumeL },
      ...{ pieceMassG: share * brick.massG.value, pieceWaterMl: share * brick.soakWaterL.value * 1000 },
      wetness: soakWaterMl / (looseVolumeL * waterHeldMlPerL.value),
    },
  ];
}
