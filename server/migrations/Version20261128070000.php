<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128070000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'When a student left the full screen, and for how long.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE left_screen (
            sitting_id uuid NOT NULL REFERENCES sitting ON DELETE CASCADE,
            id uuid NOT NULL,
            left_at timestamptz NOT NULL,
            seconds integer NOT NULL,
            PRIMARY KEY (sitting_id, id)
        )');
    }
}
