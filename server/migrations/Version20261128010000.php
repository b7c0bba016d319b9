<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128010000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Staff who have left the team; what they made keeps their name.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE staff ADD left_at timestamptz');
    }
}
