<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127210000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What a lesson shows on the wall, and what was picked before the class talked about it.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("CREATE TABLE wall (
            handout_id uuid PRIMARY KEY REFERENCES handout ON DELETE CASCADE,
            team_id uuid NOT NULL REFERENCES team,
            entry text,
            key_shown boolean NOT NULL DEFAULT false,
            counts jsonb NOT NULL DEFAULT '{}'
        )");
    }
}
