<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126050000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Minutes that a student has beyond the closing time of a handout.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE handout_student ADD extra_minutes int NOT NULL DEFAULT 0 CHECK (extra_minutes BETWEEN 0 AND 1440)');
    }
}
