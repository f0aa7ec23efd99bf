import { workOn } from '@gonimos/contract/records';
import type { LayerInput, NewLayerEvent } from '@gonimos/contract/layers';
import type { LayerEventKind } from '@gonimos/core/layers';
import { recordOnly } from '../records/service.ts';
import { layerEvent, makeLayers } from '../layers/service.ts';
import { cohortId, named, placeId, type Chapter, type DemoRequest } from './hand.ts';

const by = 'Bruno Tessary';
const LIME = 'LG-19';

const rung = (code: string, on: string, more: Partial<LayerInput>): DemoRequest => ({
  on,
  by,
  act: (w) =>
    makeLayers(w, cohortId(LIME), {
      id: named(`ringed ${code}`),
      on,
      goalId: null,
      layers: [
        {
          id: cohortId(code),
          code,
          stem: 'leader',
          how: 'ring',
          height: 1400,
          diameter: 18,
          branches: 4,
          keeps: 2,
          becomes: '',
          leaves: '',
          ...more,
        },
      ],
    }),
});

const say = (
  code: string,
  kind: LayerEventKind,
  on: string,
  more: Partial<NewLayerEvent> = {},
): DemoRequest => ({
  on,
  by,
  act: (w) =>
    layerEvent(w, cohortId(code), {
      id: named(`${code} ${kind} ${on}`),
      kind,
      on,
      found: null,
      container: null,
      placeId: null,
      split: false,
      note: '',
      ...more,
    }),
});

/** The look two weeks after severing. */
const alive = (code: string, on: string): DemoRequest => ({
  on,
  by,
  act: (w) =>
    recordOnly(
      w,
      workOn({
        id: named(`${code} looked at ${on}`),
        cohortId: cohortId(code),
        stepKey: 'sever.survival-look',
        on,
        details: { survival: { sure: null, alive: 1 } },
      }),
    ),
});

const POTTED = { container: 'basket-25', placeId: placeId('North bench') };

/** Three layers on the lime by the gate: one opened in time, one found full too late, one still rooting. */
export const layers: Chapter = () => [
  rung('LG-19L1', '2036-05-24', { becomes: 'a leaning single trunk', leaves: 'shortened to the next ring' }),
  rung('LG-19L2', '2036-06-28', {
    height: 760,
    diameter: 26,
    becomes: 'a broad base, low branches',
    leaves: 'chopped to the low branch',
  }),
  say('LG-19L1', 'looked', '2036-07-02', { found: 'filling' }),
  say('LG-19L1', 'looked', '2036-07-20', { found: 'full' }),
  say('LG-19L1', 'opened', '2036-07-21', { found: 'full', note: 'Roots shortened to a finger.' }),
  rung('LG-19L3', '2036-08-12', {
    stem: 'side stem',
    height: 900,
    diameter: 15,
    becomes: 'a small upright',
    keeps: 3,
  }),
  say('LG-19L2', 'looked', '2036-09-02', { found: 'full' }),
  say('LG-19L2', 'severed', '2036-09-20', POTTED),
  say('LG-19L1', 'severed', '2036-10-04', { ...POTTED, found: 'full' }),
  alive('LG-19L2', '2036-10-05'),
  say('LG-19L1', 'wound-sealed', '2036-10-04'),
  alive('LG-19L1', '2036-10-19'),
  say('LG-19L3', 'looked', '2036-10-20', { found: 'few', note: 'White tips, dry on one side; moss wetted.' }),
];
