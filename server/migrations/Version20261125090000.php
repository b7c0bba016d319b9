<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125090000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Moderation: what each marker gave to an answer without seeing the mark of another.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(<<<'SQL'
            CREATE TABLE moderation_mark (
                sitting_id uuid NOT NULL,
                entry text NOT NULL,
                try int NOT NULL,
                staff_id uuid NOT NULL REFERENCES staff,
                levels jsonb NOT NULL,
                at timestamptz NOT NULL,
                PRIMARY KEY (sitting_id, entry, try, staff_id),
                FOREIGN KEY (sitting_id, entry, try) REFERENCES response ON DELETE CASCADE
            )
            SQL);
    }
}
