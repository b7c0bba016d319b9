<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128060000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Teams climb by what they have right.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE climb (
            handout_id uuid PRIMARY KEY REFERENCES handout ON DELETE CASCADE,
            team_id uuid NOT NULL REFERENCES team,
            teams jsonb NOT NULL,
            begun_by uuid NOT NULL REFERENCES staff,
            begun_at timestamptz NOT NULL,
            stopped_at timestamptz
        )');
    }
}
