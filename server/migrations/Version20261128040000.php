<?php

declare(strict_types=1);

namespace ChalkLadder\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128040000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Of how many marks a sitting is, beside its marks.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE sitting ADD possible numeric(12, 6)');
    }
}
