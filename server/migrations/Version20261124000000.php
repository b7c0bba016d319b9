<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261124000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The first house: teams, bank, papers, classes, handouts, sittings, marks, groupings.';
    }

    public function up(Schema $schema): void
    {
        foreach (explode(";\n", self::SQL) as $statement) {
            if (trim($statement) !== '') {
                $this->addSql(trim($statement));
            }
        }
    }

    private const SQL = <<<'SQL'
        CREATE TABLE team (
            id uuid PRIMARY KEY,
            name text NOT NULL,
            mark_step text NOT NULL DEFAULT '0.5',
            rungs jsonb NOT NULL DEFAULT '[{"name":"footing","from":0},{"name":"climbing","from":0.5},{"name":"clear","from":0.75}]'
        );
        CREATE TABLE staff (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            email text NOT NULL UNIQUE CHECK (email = lower(email)),
            name text NOT NULL,
            role text NOT NULL CHECK (role IN ('lead', 'teacher', 'marker')),
            password_hash text NOT NULL
        );
        CREATE TABLE class (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            name text NOT NULL,
            code text NOT NULL UNIQUE,
            created_at timestamptz NOT NULL DEFAULT now(),
            UNIQUE (team_id, name)
        );
        CREATE TABLE student (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            name text NOT NULL,
            name_folded text NOT NULL,
            pin_sealed text NOT NULL
        );
        CREATE TABLE class_member (
            class_id uuid NOT NULL REFERENCES class,
            student_id uuid NOT NULL REFERENCES student,
            joined_at timestamptz NOT NULL DEFAULT now(),
            left_at timestamptz,
            PRIMARY KEY (class_id, student_id)
        );
        CREATE INDEX class_member_student ON class_member (student_id);
        CREATE TABLE access (
            token_hash text PRIMARY KEY,
            staff_id uuid REFERENCES staff ON DELETE CASCADE,
            student_id uuid REFERENCES student ON DELETE CASCADE,
            expires_at timestamptz NOT NULL,
            CHECK (num_nonnulls(staff_id, student_id) = 1)
        );
        CREATE INDEX access_student ON access (student_id);
        CREATE TABLE skill (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            parent_id uuid REFERENCES skill,
            name text NOT NULL,
            UNIQUE (team_id, name)
        );
        CREATE TABLE misconception (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            name text NOT NULL,
            looks_like text NOT NULL DEFAULT '',
            next_step text NOT NULL DEFAULT '',
            UNIQUE (team_id, name)
        );
        CREATE TABLE item (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            type text NOT NULL,
            title text NOT NULL,
            content jsonb NOT NULL,
            skill_id uuid REFERENCES skill,
            misconceptions uuid[] NOT NULL DEFAULT '{}',
            search text NOT NULL,
            version int NOT NULL DEFAULT 1,
            created_by uuid NOT NULL REFERENCES staff,
            updated_by uuid NOT NULL REFERENCES staff,
            updated_at timestamptz NOT NULL DEFAULT now(),
            archived_at timestamptz
        );
        CREATE INDEX item_list ON item (team_id, updated_at DESC) WHERE archived_at IS NULL;
        CREATE INDEX item_misconceptions ON item USING gin (misconceptions);
        CREATE TABLE item_revision (
            item_id uuid NOT NULL REFERENCES item,
            version int NOT NULL,
            content jsonb NOT NULL,
            made_by uuid NOT NULL REFERENCES staff,
            made_at timestamptz NOT NULL DEFAULT now(),
            PRIMARY KEY (item_id, version)
        );
        CREATE TABLE file (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            media_type text NOT NULL,
            name text NOT NULL,
            bytes bytea NOT NULL,
            created_at timestamptz NOT NULL DEFAULT now()
        );
        CREATE TABLE paper (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            title text NOT NULL,
            content jsonb NOT NULL,
            version int NOT NULL DEFAULT 1,
            updated_by uuid NOT NULL REFERENCES staff,
            updated_at timestamptz NOT NULL DEFAULT now(),
            archived_at timestamptz
        );
        CREATE INDEX paper_list ON paper (team_id, updated_at DESC) WHERE archived_at IS NULL;
        CREATE TABLE edition (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            paper_id uuid NOT NULL REFERENCES paper,
            number int NOT NULL,
            of_version int NOT NULL,
            content jsonb NOT NULL,
            rules_version int NOT NULL DEFAULT 1,
            made_by uuid NOT NULL REFERENCES staff,
            made_at timestamptz NOT NULL DEFAULT now(),
            UNIQUE (paper_id, number)
        );
        CREATE TABLE edition_item (
            edition_id uuid NOT NULL REFERENCES edition,
            entry text NOT NULL,
            item_id uuid NOT NULL REFERENCES item,
            PRIMARY KEY (edition_id, entry)
        );
        CREATE INDEX edition_item_item ON edition_item (item_id);
        CREATE TABLE edition_file (
            edition_id uuid NOT NULL REFERENCES edition,
            file_id uuid NOT NULL REFERENCES file,
            PRIMARY KEY (edition_id, file_id)
        );
        CREATE TABLE key_change (
            id uuid PRIMARY KEY,
            edition_id uuid NOT NULL REFERENCES edition,
            entry text NOT NULL,
            rule_before jsonb NOT NULL,
            rule_after jsonb NOT NULL,
            reason text NOT NULL DEFAULT '',
            made_by uuid NOT NULL REFERENCES staff,
            made_at timestamptz NOT NULL DEFAULT now(),
            undone_by uuid REFERENCES staff,
            undone_at timestamptz
        );
        CREATE INDEX key_change_edition ON key_change (edition_id, made_at);
        CREATE TABLE grouping (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            handout_id uuid NOT NULL,
            name text NOT NULL,
            aim text NOT NULL,
            made_by uuid NOT NULL REFERENCES staff,
            made_at timestamptz NOT NULL DEFAULT now()
        );
        CREATE INDEX grouping_list ON grouping (team_id, made_at DESC);
        CREATE TABLE grouping_group (
            id uuid PRIMARY KEY,
            grouping_id uuid NOT NULL REFERENCES grouping ON DELETE CASCADE,
            place int NOT NULL,
            name text NOT NULL,
            about uuid REFERENCES misconception
        );
        CREATE INDEX grouping_group_place ON grouping_group (grouping_id, place);
        CREATE TABLE grouping_member (
            group_id uuid NOT NULL REFERENCES grouping_group ON DELETE CASCADE,
            student_id uuid NOT NULL REFERENCES student,
            reason text NOT NULL,
            PRIMARY KEY (group_id, student_id)
        );
        CREATE TABLE handout (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            edition_id uuid NOT NULL REFERENCES edition,
            title text NOT NULL,
            conditions jsonb NOT NULL,
            visible boolean NOT NULL DEFAULT true,
            opens_at timestamptz,
            closes_at timestamptz,
            closed_at timestamptz,
            group_id uuid REFERENCES grouping_group,
            request_id uuid UNIQUE,
            made_by uuid NOT NULL REFERENCES staff,
            made_at timestamptz NOT NULL DEFAULT now()
        );
        CREATE INDEX handout_list ON handout (team_id, made_at DESC);
        CREATE INDEX handout_edition ON handout (edition_id);
        ALTER TABLE grouping ADD FOREIGN KEY (handout_id) REFERENCES handout;
        CREATE TABLE handout_class (
            handout_id uuid NOT NULL REFERENCES handout,
            class_id uuid NOT NULL REFERENCES class,
            PRIMARY KEY (handout_id, class_id)
        );
        CREATE INDEX handout_class_class ON handout_class (class_id);
        CREATE TABLE handout_student (
            handout_id uuid NOT NULL REFERENCES handout,
            student_id uuid NOT NULL REFERENCES student,
            PRIMARY KEY (handout_id, student_id)
        );
        CREATE INDEX handout_student_student ON handout_student (student_id);
        CREATE TABLE sitting (
            id uuid PRIMARY KEY,
            handout_id uuid NOT NULL,
            student_id uuid NOT NULL,
            attempt int NOT NULL,
            state text NOT NULL CHECK (state IN ('open', 'handed in', 'marked', 'returned')),
            seed text NOT NULL,
            walk jsonb NOT NULL,
            at_entry text,
            opened_at timestamptz NOT NULL,
            handed_in_at timestamptz,
            handed_in_by text CHECK (handed_in_by IN ('student', 'close')),
            returned_at timestamptz,
            message text NOT NULL DEFAULT '',
            reply text,
            replied_at timestamptz,
            marks numeric(12, 6) NOT NULL DEFAULT 0,
            version int NOT NULL DEFAULT 1,
            UNIQUE (handout_id, student_id, attempt),
            FOREIGN KEY (handout_id, student_id) REFERENCES handout_student
        ) WITH (fillfactor = 70);
        CREATE INDEX sitting_student ON sitting (student_id);
        CREATE UNIQUE INDEX sitting_one_open ON sitting (handout_id, student_id) WHERE state = 'open';
        CREATE TABLE response (
            sitting_id uuid NOT NULL REFERENCES sitting ON DELETE CASCADE,
            entry text NOT NULL,
            try int NOT NULL,
            value jsonb NOT NULL,
            counter bigint NOT NULL,
            client_id text NOT NULL,
            saved_at timestamptz NOT NULL,
            settled boolean NOT NULL DEFAULT false,
            hint_opened boolean NOT NULL DEFAULT false,
            credit text,
            verdict text NOT NULL,
            line text NOT NULL DEFAULT '',
            read_as text NOT NULL DEFAULT '',
            misconceptions uuid[] NOT NULL DEFAULT '{}',
            hand_credit text,
            hand_levels jsonb,
            hand_by uuid REFERENCES staff,
            hand_at timestamptz,
            comment text NOT NULL DEFAULT '',
            mark_version int NOT NULL DEFAULT 0,
            PRIMARY KEY (sitting_id, entry, try)
        ) WITH (fillfactor = 80);
        CREATE INDEX response_waiting ON response (sitting_id) WHERE verdict = 'by hand' AND hand_credit IS NULL;
        CREATE TABLE late_response (
            sitting_id uuid NOT NULL REFERENCES sitting ON DELETE CASCADE,
            entry text NOT NULL,
            try int NOT NULL,
            value jsonb NOT NULL,
            counter bigint NOT NULL,
            received_at timestamptz NOT NULL,
            PRIMARY KEY (sitting_id, entry, try, counter)
        );
        CREATE TABLE mark_event (
            id uuid PRIMARY KEY,
            sitting_id uuid NOT NULL REFERENCES sitting ON DELETE CASCADE,
            entry text NOT NULL,
            try int NOT NULL,
            kind text NOT NULL CHECK (kind IN ('hand', 'override', 'key change', 'key undo')),
            before_credit text,
            after_credit text,
            comment text NOT NULL DEFAULT '',
            levels jsonb,
            key_change_id uuid REFERENCES key_change,
            staff_id uuid NOT NULL REFERENCES staff,
            at timestamptz NOT NULL
        );
        CREATE INDEX mark_event_response ON mark_event (sitting_id, entry, try, at);
        CREATE TABLE outbox (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            student_id uuid REFERENCES student,
            handout_id uuid REFERENCES handout,
            subject text NOT NULL,
            body text NOT NULL,
            sent_by uuid NOT NULL REFERENCES staff,
            sent_at timestamptz NOT NULL
        );
        CREATE INDEX outbox_list ON outbox (team_id, sent_at DESC);
        CREATE TABLE trail (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            staff_id uuid NOT NULL REFERENCES staff,
            act text NOT NULL,
            subject_kind text NOT NULL,
            subject_id uuid NOT NULL,
            detail jsonb NOT NULL,
            at timestamptz NOT NULL
        );
        CREATE INDEX trail_list ON trail (team_id, at DESC);
        CREATE FUNCTION credit_number(credit text) RETURNS double precision LANGUAGE sql IMMUTABLE STRICT PARALLEL SAFE AS
            $$ SELECT split_part(credit, '/', 1)::double precision / coalesce(nullif(split_part(credit, '/', 2), '')::double precision, 1) $$;
        CREATE TABLE cache_items (
            item_id varchar(255) PRIMARY KEY,
            item_data bytea NOT NULL,
            item_lifetime int,
            item_time int NOT NULL
        )
        SQL;
}
