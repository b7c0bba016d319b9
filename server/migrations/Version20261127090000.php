<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127090000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Skills and misconceptions that turned out to be the same as another, and what was written anew for that.';
    }

    public function up(Schema $schema): void
    {
        foreach (['skill', 'misconception'] as $table) {
            // A restored team writes its terms in any order.
            $this->addSql("ALTER TABLE $table
                ADD merged_into uuid REFERENCES $table (id) DEFERRABLE INITIALLY DEFERRED CHECK (merged_into <> id),
                ADD merged_what json");
            $this->addSql("CREATE INDEX {$table}_merged ON $table (merged_into) WHERE merged_into IS NOT NULL");
        }
    }
}
