<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128090000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'An answer is corrected by a teacher; as it was given is kept.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE correction (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            sitting_id uuid NOT NULL REFERENCES sitting ON DELETE CASCADE,
            entry text NOT NULL,
            try integer NOT NULL,
            given jsonb NOT NULL,
            corrected jsonb NOT NULL,
            why text NOT NULL,
            made_by uuid NOT NULL REFERENCES staff,
            made_at timestamptz NOT NULL,
            undone_at timestamptz
        )');
        $this->addSql('CREATE INDEX correction_sitting ON correction (sitting_id, made_at)');
    }
}
