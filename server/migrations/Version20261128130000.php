<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128130000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Each question may have a time of its own.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE sitting ADD turn_entry text, ADD turn_due_at timestamptz');
    }
}
