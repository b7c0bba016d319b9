<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128080000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Two records of one student are put together, and can be parted again.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE student ADD merged_into uuid REFERENCES student DEFERRABLE INITIALLY DEFERRED');
        $this->addSql('CREATE TABLE student_merge (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            from_id uuid NOT NULL REFERENCES student,
            into_id uuid NOT NULL REFERENCES student,
            moved jsonb NOT NULL,
            made_by uuid NOT NULL REFERENCES staff,
            made_at timestamptz NOT NULL,
            undone_at timestamptz
        )');
        // Who has a handout and what was sat of it change hands in one act, by two rooms.
        $this->addSql('ALTER TABLE sitting ALTER CONSTRAINT sitting_handout_id_student_id_fkey DEFERRABLE INITIALLY IMMEDIATE');
    }
}
