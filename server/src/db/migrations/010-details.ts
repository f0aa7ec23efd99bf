import type { Knex } from 'knex';

/** What a record tells is kept by subject, so that a new subject needs no column; one view of records that stand. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE record ADD details jsonb NOT NULL DEFAULT '{}';
    ALTER TABLE record DISABLE TRIGGER append_only;
    UPDATE record r SET details = (SELECT coalesce(jsonb_object_agg(k.key, k.value), '{}')
      FROM jsonb_each(jsonb_build_object(
      'sizes', CASE WHEN r.caliper IS NOT NULL OR r.height IS NOT NULL THEN
        jsonb_build_object(
          'calipers', coalesce(r.sizes -> 'calipers', '[]'), 'heights', coalesce(r.sizes -> 'heights', '[]'),
          'caliper', r.caliper, 'height', r.height) END,
      'potting', CASE WHEN r.container IS NOT NULL THEN
        jsonb_build_object('container', r.container, 'before', coalesce(r.container_before, r.container)) END,
      'standing', CASE WHEN r.place_id IS NOT NULL THEN
        jsonb_build_object('placeId', r.place_id, 'before', coalesce(r.place_before, r.place_id)) END,
      'survival', CASE WHEN r.odds IS NOT NULL OR r.sure IS NOT NULL OR r.alive IS NOT NULL THEN
        jsonb_build_object('odds', r.odds, 'sure', r.sure, 'alive', r.alive, 'of', r.alive_of) END,
      'looks', CASE WHEN r.vigour IS NOT NULL OR r.low_growth IS NOT NULL OR r.buds_looked IS NOT NULL
        OR r.again IS NOT NULL THEN
        jsonb_build_object('vigour', r.vigour, 'lowGrowth', r.low_growth, 'again', r.again,
          'buds', CASE WHEN r.buds_looked IS NOT NULL THEN
            jsonb_build_object('looked', r.buds_looked, 'ready', r.buds_ready) END) END,
      'cuttings', CASE WHEN r.rooted IS NOT NULL OR r.batches IS NOT NULL THEN
        jsonb_build_object('rooted', r.rooted, 'batches', r.batches) END,
      'trays', CASE WHEN r.from_cells THEN jsonb_build_object('fromCells', true) END,
      'visit', CASE WHEN r.kind = 'visit' THEN
        jsonb_build_object('found', coalesce(to_jsonb(r.found), '[]'), 'decision', r.decision,
          'causes', coalesce(r.causes, '[]'), 'checkOn', r.check_on,
          'taxonId', r.taxon_id, 'taxonBefore', r.taxon_before) END,
      'move', CASE WHEN r.overrides IS NOT NULL THEN jsonb_build_object('overrides', r.overrides) END
      )) AS k WHERE k.value <> 'null');
    ALTER TABLE record ENABLE TRIGGER append_only;
    ALTER TABLE record
      DROP caliper, DROP height, DROP sizes, DROP container, DROP container_before, DROP place_id,
      DROP place_before, DROP odds, DROP sure, DROP alive, DROP alive_of, DROP vigour, DROP low_growth,
      DROP buds_looked, DROP buds_ready, DROP again, DROP rooted, DROP batches, DROP from_cells,
      DROP found, DROP decision, DROP causes, DROP check_on, DROP taxon_id, DROP taxon_before, DROP overrides;

    -- records that were not taken back
    CREATE VIEW standing_record AS
      SELECT r.* FROM record r
      WHERE r.kind <> 'undo' AND NOT EXISTS (SELECT 1 FROM record u WHERE u.undoes = r.id);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));
