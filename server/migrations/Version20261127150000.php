<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127150000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What of a sound or a film was played, by sitting and device.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE played (
            sitting_id uuid NOT NULL REFERENCES sitting ON DELETE CASCADE,
            file_id uuid NOT NULL,
            device uuid NOT NULL,
            millis integer NOT NULL CHECK (millis > 0),
            times smallint[] NOT NULL CHECK (cardinality(times) BETWEEN 1 AND 120),
            PRIMARY KEY (sitting_id, file_id, device)
        )');
    }
}
