import { container, piecesFor } from '../containers/index.ts';
import { recipeFor } from '../mixes/index.ts';
import { rootAngle } from '../programmes/index.ts';
import { chosen, type QuestionId } from '../schools/index.ts';
import type { GrowthGroup } from '../taxa/index.ts';
import { tieDownFor } from '../wire/index.ts';
import type { Context, Material, StepInHand } from './types.ts';

/** Spare of mix, share. Common practice, no source. */
const SPARE = 1.1;
/** Share of fresh mix where the old is used again if it is healthy. Common practice, no source. */
const FRESH_SHARE = 0.5;
/** Share of its own soil that a lifted plant keeps around its roots, opened up by the mix. Common practice, no source. */
const OWN_SOIL_SHARE = 1 / 3;
/** Wedges for each plant. Common practice, no source. */
const WEDGES = 3;

const WOUND_BY_KIND = (group: GrowthGroup, bark: 'smooth' | 'coarse') => {
  if (group === 'swollen-base') return 'powder';
  return bark === 'smooth' ? 'sealed' : 'dry';
};
const WOUND: Record<string, string | null> = {
  sealed: 'wound sealant',
  powder: 'sulphur or charcoal powder',
  dry: null,
};
const FILLING: Record<string, string> = {
  stick: 'chopstick to work dry mix in',
  tap: 'mallet to tap dry mix down',
  damp: 'damp mix, pressed in by hand',
};
const ANGLE = {
  flat: 'flat bed under the roots',
  sloped: 'mound under the roots',
  descending: 'deep hole, roots straight down',
};

const atHand = (what: string): Material => ({ what, amount: null, unit: '' });

/** Mix, mesh and what holds the plant, by container and school. */
function filled(ctx: Context, { op }: StepInHand, into: string): Material[] {
  const kind = container(into);
  if (kind.wall === 'ground') return [];
  const { taxon, facts } = ctx;
  const option = (q: QuestionId) => chosen(q, ctx.levels).option;
  const { name } = recipeFor(taxon.group, option('medium'));
  const pots = piecesFor(kind, facts.live);
  const again = op.fills === 'again' && option('old-mix') === 'reuse';
  const litres = Math.ceil(kind.litres * pots * SPARE);
  const lifted = op.fills === 'lifted';
  const fresh = Math.ceil(litres * (again ? FRESH_SHARE : lifted ? 1 - OWN_SOIL_SHARE : 1));
  const holding = option('holding');
  const material: Material[] = [
    { what: name, amount: fresh, unit: 'L' },
    atHand(FILLING[option('filling')]),
    { what: option('mesh') === 'wired' ? 'mesh and wire clips' : 'mesh, laid', amount: pots, unit: '' },
  ];
  if (again) material.push({ what: 'old mix, sieved, if healthy', amount: litres - fresh, unit: 'L' });
  else if (lifted)
    material.push({ what: 'its own soil, shaken off and sieved', amount: litres - fresh, unit: 'L' });
  else if (op.fills === 'again') material.push(atHand('clean washed container'));
  if (kind.shared) return material;
  if (holding === 'wired' && kind.flexible)
    material.push({ what: 'stakes, soft tie', amount: pots, unit: '' });
  else if (holding === 'wired') {
    const tie = tieDownFor(kind);
    const metres = Math.ceil((tie.length * SPARE * pots) / 1000);
    material.push({ what: `tie-down wire, ${tie.wire} mm`, amount: metres, unit: 'm' });
  }
  if (holding === 'wedges') material.push({ what: 'wedges', amount: WEDGES * pots, unit: '' });
  return material;
}

/** What is used for a step besides its tools. */
export function materialsOf(ctx: Context, hand: StepInHand, into: string | null): Material[] {
  const { op } = hand;
  const { taxon, levels } = ctx;
  const material = op.fills && into ? filled(ctx, hand, into) : [];
  if ((op.like ?? op.id) === 'root-correct') material.push(atHand(ANGLE[rootAngle(levels, taxon.group)]));
  if (op.wounds) {
    const { option } = chosen('wounds', levels);
    const wound = WOUND[option === 'by-kind' ? WOUND_BY_KIND(taxon.group, taxon.bark) : option];
    if (wound) material.push(atHand(wound));
  }
  if (op.binds)
    material.push(
      atHand(chosen('fusing', levels).option === 'bound' ? 'binding wire' : 'soft packing, no binding'),
    );
  return material;
}
