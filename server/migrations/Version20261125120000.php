<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Groupings can be archived, and brought back.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE grouping ADD archived_at timestamptz');
    }
}
