import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import {
  changeStemRecord,
  newStemRecord,
  withdrawStemRecord,
  type StemBench,
  type StemRecordRow,
} from '@gonimos/contract/stem-records';
import { labStart } from '@gonimos/core/lab';
import { chosen } from '@gonimos/core/schools';
import type { RootRecordRow } from '@gonimos/contract/root-records';
import { sproutsOf, type ChopWay } from '@gonimos/core/stem';
import { taxon } from '@gonimos/core/taxa';
import { drawingRoutes } from '../drawings/routes.ts';
import { readStances } from '../drawings/stances.ts';
import { lastOfEach, readDrawings } from '../drawings/store.ts';
import { route } from '../http/route.ts';
import { readyFacts } from '../planning/replan.ts';
import { nextStemWork, readHeld, readLeft, readSprouts } from './store.ts';

/** Stems as they were seen, and what a cut is planned with. */
export function stemRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/stem',
    role: 'helper',
    summary: 'Stems as they were drawn, the plant as it would be cut, and the schools of cut and wound',
    params: object({ id: id() }),
    handle: async ({ params: p }): Promise<StemBench> => {
      const planning = await app.planning(app.db);
      const [facts] = await readyFacts(app.db, [p.id], planning);
      const levels = { ...facts.schools, nursery: planning.schools, programme: facts.programme.schools };
      return {
        records: await readDrawings<StemRecordRow>(app.db, 'stem_record', p.id),
        start: labStart(facts, planning.books.get(facts.placeId)!, planning.today),
        way: chosen('chop', levels).option as ChopWay,
        wounds: chosen('wounds', levels).option,
        sprouts: sproutsOf(taxon(facts.taxonId), await readSprouts(app.db, facts.taxonId)),
        roots: lastOfEach(await readDrawings<RootRecordRow>(app.db, 'root_record', p.id)).map(
          ({ label, on, record, decided }) => ({ label, on, record, lean: decided.lean ?? null }),
        ),
        stances: await readStances(app.db, p.id),
        container: facts.container,
        step: await nextStemWork(app.db, p.id),
        left: await readLeft(app.db, p.id),
        held: await readHeld(app.db, facts.taxonId),
      };
    },
  });

  drawingRoutes(app, {
    table: 'stem_record',
    url: '/stem-records',
    what: 'stem record',
    drawn: 'the stem of a plant as it was seen',
    add: newStemRecord,
    change: changeStemRecord,
    withdraw: withdrawStemRecord,
  });
}
