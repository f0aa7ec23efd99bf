import type { Knex } from 'knex';

/** Sessions by hash with who and since when; people who may no longer enter; failed tries; who changed what. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    -- ids of sessions were kept as they are sent: everyone signs in again
    DROP TABLE session;
    CREATE TABLE session (
      -- of the id in the cookie, which is kept nowhere else
      hash text PRIMARY KEY,
      person_id uuid REFERENCES person,
      data jsonb NOT NULL,
      agent text NOT NULL DEFAULT '',
      created_at timestamptz NOT NULL DEFAULT now(),
      seen_at timestamptz NOT NULL DEFAULT now(),
      expires timestamptz NOT NULL
    );
    CREATE INDEX session_of_person ON session (person_id);

    ALTER TABLE person ADD disabled_at timestamptz;

    -- tries that failed, by the name that was given
    CREATE TABLE failed_sign_in (
      name text NOT NULL,
      at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX failed_sign_in_of_name ON failed_sign_in (name, at);

    -- changes of people, roles, site, schools and programmes; never changed
    CREATE TABLE audit (
      seq bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
      at timestamptz NOT NULL DEFAULT now(),
      -- null: done at the machine itself
      person_id uuid REFERENCES person,
      subject text NOT NULL,
      what text NOT NULL
    );
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON audit
      FOR EACH ROW EXECUTE FUNCTION refuse_change();
    CREATE TRIGGER append_only_all BEFORE TRUNCATE ON audit
      FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));
