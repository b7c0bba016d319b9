<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127110000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Questions that turned out to be the same as another, and the drafts that took the other.';
    }

    public function up(Schema $schema): void
    {
        // A restored team writes its questions in any order; whatever is part of another is put away.
        $this->addSql('ALTER TABLE item
            ADD merged_into uuid REFERENCES item (id) DEFERRABLE INITIALLY DEFERRED CHECK (merged_into <> id),
            ADD merged_what json,
            ADD CHECK (merged_into IS NULL OR archived_at IS NOT NULL)');
        $this->addSql('CREATE INDEX item_merged ON item (team_id, merged_into) WHERE merged_into IS NOT NULL');
        $this->addSql('CREATE INDEX item_stands ON item ((coalesce(merged_into, id)))');
    }
}
