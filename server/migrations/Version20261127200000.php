<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127200000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Students are held and released, have so long from when they begin, call for their teacher and are written to.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE handout_student ADD held_at timestamptz, ADD held_words text NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE sitting ADD due_at timestamptz');
        $this->addSql("CREATE INDEX sitting_due ON sitting (due_at) WHERE state = 'open' AND due_at IS NOT NULL");
        $this->addSql('ALTER TABLE sitting DROP CONSTRAINT sitting_handed_in_by_check');
        $this->addSql("ALTER TABLE sitting ADD CONSTRAINT sitting_handed_in_by_check
            CHECK (handed_in_by IN ('student', 'close', 'time', 'teacher'))");
        $this->addSql("CREATE TABLE student_call (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            sitting_id uuid NOT NULL REFERENCES sitting ON DELETE CASCADE,
            kind text NOT NULL CHECK (kind IN ('stuck', 'look')),
            entry text NOT NULL,
            words text NOT NULL,
            made_at timestamptz NOT NULL,
            settled_at timestamptz,
            settled_by uuid REFERENCES staff
        )");
        $this->addSql('CREATE UNIQUE INDEX student_call_open ON student_call (sitting_id) WHERE settled_at IS NULL');
        $this->addSql('CREATE INDEX student_call_sitting ON student_call (sitting_id, made_at)');
        $this->addSql('CREATE TABLE lesson_note (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            handout_id uuid NOT NULL REFERENCES handout ON DELETE CASCADE,
            student_id uuid REFERENCES student ON DELETE CASCADE,
            entry text,
            words text NOT NULL,
            made_by uuid NOT NULL REFERENCES staff,
            made_at timestamptz NOT NULL,
            taken_at timestamptz
        )');
        $this->addSql('CREATE INDEX lesson_note_handout ON lesson_note (handout_id, made_at)');
    }
}
