<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128100000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Answer pads that are given out for a handout, and what their receiver has heard of each.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE pads (
            handout_id uuid PRIMARY KEY REFERENCES handout ON DELETE CASCADE,
            team_id uuid NOT NULL REFERENCES team,
            key_hash text,
            pads jsonb NOT NULL,
            opened_by uuid NOT NULL REFERENCES staff,
            opened_at timestamptz NOT NULL
        )');
    }
}
