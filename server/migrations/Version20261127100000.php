<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127100000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Folders of the bank: the team’s, or one person’s own.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("CREATE TABLE folder (
            id uuid PRIMARY KEY,
            team_id uuid NOT NULL REFERENCES team,
            staff_id uuid REFERENCES staff ON DELETE CASCADE,
            name text NOT NULL CHECK (name <> ''),
            items uuid[] NOT NULL DEFAULT '{}'
        )");
        // One of a name for the team, and one for each person.
        $this->addSql('CREATE UNIQUE INDEX folder_name ON folder (team_id, coalesce(staff_id, team_id), lower(name))');
        $this->addSql('CREATE INDEX folder_items ON folder USING gin (items)');
    }
}
