<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Searches of the bank that somebody keeps.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE kept_search (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            staff_id uuid NOT NULL REFERENCES staff,
            name text NOT NULL,
            query text NOT NULL,
            UNIQUE (staff_id, name)
        )');
    }
}
