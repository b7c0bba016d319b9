<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127060000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Which handout another one follows by itself, and with which paper: one for all students who get it.';
    }

    public function up(Schema $schema): void
    {
        // A restored team writes its handouts in any order.
        $this->addSql('ALTER TABLE handout
            ADD follows_id uuid REFERENCES handout (id) ON DELETE SET NULL DEFERRABLE INITIALLY DEFERRED,
            ADD follows_paper uuid');
        $this->addSql('CREATE UNIQUE INDEX handout_follows ON handout (follows_id, follows_paper) WHERE follows_id IS NOT NULL');
    }
}
