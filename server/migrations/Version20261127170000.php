<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127170000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Who is at a paper right now. Nothing in it is missed when the machine stops.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("CREATE UNLOGGED TABLE paper_visit (
            paper_id uuid NOT NULL REFERENCES paper ON DELETE CASCADE,
            staff_id uuid NOT NULL REFERENCES staff ON DELETE CASCADE,
            part text NOT NULL DEFAULT '',
            seen_at timestamptz NOT NULL,
            PRIMARY KEY (paper_id, staff_id)
        )");
    }
}
