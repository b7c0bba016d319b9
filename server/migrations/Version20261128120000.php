<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Classes and students keep what the school’s own system calls them, so that its files can be taken again.';
    }

    public function up(Schema $schema): void
    {
        foreach (['class', 'student'] as $table) {
            $this->addSql("ALTER TABLE $table ADD source_id text");
            $this->addSql("CREATE UNIQUE INDEX {$table}_source ON $table (team_id, source_id) WHERE source_id IS NOT NULL");
        }
    }
}
