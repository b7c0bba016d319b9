<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Storage through entities: sessions with a life of their own, sittings that know their team and count revisions, veiled options, a question as an edition took it.';
    }

    public function up(Schema $schema): void
    {
        foreach (explode(";\n", self::SQL) as $statement) {
            $this->addSql(trim($statement));
        }
    }

    private const SQL = <<<'SQL'
        DROP TABLE access;
        CREATE TABLE session (
            token_hash text PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            staff_id uuid REFERENCES staff ON DELETE CASCADE,
            student_id uuid REFERENCES student ON DELETE CASCADE,
            device text NOT NULL,
            opened_at timestamptz NOT NULL,
            seen_at timestamptz NOT NULL,
            expires_at timestamptz NOT NULL,
            CHECK (num_nonnulls(staff_id, student_id) = 1)
        );
        CREATE INDEX session_student ON session (student_id);
        CREATE INDEX session_staff ON session (staff_id);
        CREATE INDEX session_end ON session (expires_at);
        CREATE TABLE sign_in_failure (key text PRIMARY KEY, failures int NOT NULL, last_at timestamptz NOT NULL);
        CREATE TABLE print_job (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            staff_id uuid NOT NULL REFERENCES staff ON DELETE CASCADE,
            paper_id uuid NOT NULL REFERENCES paper,
            with_key boolean NOT NULL,
            state text NOT NULL,
            asked_at timestamptz NOT NULL
        );
        CREATE INDEX print_job_queue ON print_job (asked_at) WHERE state IN ('waiting', 'working');
        ALTER TABLE sitting RENAME COLUMN version TO revision;
        ALTER TABLE sitting ADD team_id uuid REFERENCES team, ADD veiled boolean NOT NULL DEFAULT false;
        UPDATE sitting s SET team_id = h.team_id FROM handout h WHERE h.id = s.handout_id;
        ALTER TABLE sitting ALTER team_id SET NOT NULL;
        CREATE INDEX sitting_reply ON sitting (team_id, replied_at DESC) WHERE reply IS NOT NULL;
        ALTER TABLE edition_item ADD content_hash text NOT NULL DEFAULT '';
        UPDATE edition_item ei SET content_hash = md5(i.content::text) FROM item i WHERE i.id = ei.item_id;
        ALTER TABLE grouping ADD version int NOT NULL DEFAULT 1;
        ALTER TABLE handout DROP CONSTRAINT handout_request_id_key, ADD UNIQUE (team_id, request_id);
        ALTER TABLE handout ALTER CONSTRAINT handout_group_id_fkey DEFERRABLE;
        ALTER TABLE skill ALTER CONSTRAINT skill_parent_id_fkey DEFERRABLE;
        CREATE INDEX handout_due ON handout (closes_at) WHERE closed_at IS NULL AND closes_at IS NOT NULL;
        CREATE INDEX mark_event_change ON mark_event (key_change_id) WHERE key_change_id IS NOT NULL
        SQL;
}
